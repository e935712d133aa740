import type { TestKind } from './treatment.types.ts'

/**
 * Tests by what they can and cannot tell, quarantine.md 5.4.
 */
export const TEST_KINDS: readonly TestKind[] = [
  { id: "test-cu-photometer", measures: "total copper, mg/L", step: "0.01", uncertainty: "± 0.05 ± 5 %", agents: "cu-chelated, cu-amine", caveat: "use total-copper reagent; free-copper reagents read chelated as near zero" },
  { id: "test-cu-low-photometer", measures: "copper, mg/L", step: "0.001", uncertainty: "± 0.01 ± 5 %", agents: "cu-ion", caveat: "chelated forms may not be read" },
  { id: "test-cu-card", measures: "copper, mg/L", step: "0.25–0.5", uncertainty: "± 0.25", agents: "none alone", caveat: "card colours cannot hold a 0.5-wide band: too coarse" },
  { id: "test-refractometer", measures: "SG or g/kg", step: "0.001 / 1", uncertainty: "± 0.001", agents: "hyposalinity", caveat: "calibrate in 35 g/kg standard, not only in water" },
  { id: "test-ammonia-liquid", measures: "total ammonia, mg/L", step: "0.25", uncertainty: "± 0.25", agents: "all", caveat: "formalin, ammonia binders and some chemistries give false readings" },
  { id: "test-ammonia-badge", measures: "NH3 gas, mg/L", step: "4 colours", uncertainty: "coarse", agents: "all", caveat: "slow, ages, sticks: never the only test" },
  { id: "test-oxygen-meter", measures: "mg/L", step: "0.1", uncertainty: "± 0.3", agents: "formalin, praziquantel, heat", caveat: "calibrate weekly" },
  { id: "test-none", measures: "chloroquine, metronidazole, praziquantel, antibiotics, iodine", step: "–", uncertainty: "–", agents: "those", caveat: "no home test: trust weighed dose and net volume only" },
]
