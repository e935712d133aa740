import type { School } from './treatment.types.ts'

/**
 * Schools of prophylactic quarantine, quarantine.md 7.1. None is proven best; each trades drug stress against disease risk. Effort: hours
 * of hands-on work in the whole course (editorial assumption).
 */
export const SCHOOLS: readonly School[] = [
  { id: "qt-a-cu30", school: "copper 30 d in one tank", coreDays: "30 + 14–28 obs", tanks: "1", covers: "marine-ich, marine-velvet", notCovered: "flukes, worms, brooklynella, uronema, bacteria",
    pro: "simple, one set-up", con: "30 d copper load; cysts share the tank, hatch outliers > 30 d missed", effortHours: [10, 15], exclusions: "copper-intolerant groups", failureModes: "level dips, wrong test reagent, rock in tank" },
  { id: "qt-b-drug14", school: "copper or chloroquine 14 d, then sterile observation tank", coreDays: "14 + 14–28 obs", tanks: "2", covers: "marine-ich, marine-velvet (brooklynella with chloroquine)", notCovered: "flukes, worms, uronema",
    pro: "half the drug time; hatched cysts left behind", con: "second tank, strict rules 7.3", effortHours: [12, 18], exclusions: "chloroquine: sensitive wrasses; copper: section 5.6", failureModes: "any rule in 7.3 broken" },
  { id: "qt-c-ttm", school: "tank-transfer, standard", coreDays: "12 + 14–28 obs", tanks: "2 alternating", covers: "marine-ich", notCovered: "velvet, brooklynella, uronema, flukes, worms",
    pro: "no drug", con: "handling stress, ammonia in bare tanks", effortHours: [10, 14], exclusions: "very delicate or sand-sleeping fish: caution", failureModes: "late move, wet gear reused, tank not dried" },
  { id: "qt-c-velvet", school: "tank-transfer, velvet interval", coreDays: "12 + 14–28 obs", tanks: "2–3", covers: "marine-velvet, marine-ich", notCovered: "as above",
    pro: "no drug", con: "eight moves, high stress", effortHours: [16, 22], exclusions: "as above", failureModes: "six moves stop at day 9; below 12 d" },
  { id: "qt-c-hybrid", school: "standard transfer + two peroxide baths 6 d apart", coreDays: "12 + 14–28 obs", tanks: "2", covers: "marine-ich, marine-velvet, part flukes, part brooklynella", notCovered: "uronema, worms",
    pro: "fewer moves than velvet variant", con: "bath skill, gill stress", effortHours: [12, 16], exclusions: "weak or gill-damaged fish", failureModes: "interval not 6 d, wrong peroxide strength" },
  { id: "qt-d-hypo", school: "hyposalinity SG 1.009, 30 d", coreDays: "30 + 14–28 obs", tanks: "1", covers: "marine-ich, skin-flukes", notCovered: "velvet, brooklynella, uronema, bacteria, resistant strains",
    pro: "no drug, fish save energy", con: "precise salinity; pH and biofilter sag", effortHours: [12, 18], exclusions: "elasmobranchs, some deep or wild-open-sea species, all invertebrates", failureModes: "evaporation to > 1.010, velvet missed" },
  { id: "qt-e-uronema", school: "uronema-prone: formalin bath before entry + metronidazole 10 d in water and food", coreDays: "10–14, then a, b or c", tanks: "1–2", covers: "uronema, brooklynella", notCovered: "ich, velvet unless added",
    pro: "addresses chromis/anthias losses", con: "formalin hazard; evidence thin", effortHours: [8, 12], exclusions: "very weak fish", failureModes: "food refused, low oxygen" },
  { id: "qt-f-observe", school: "observe with sentinels, treat on sign", coreDays: "30–45", tanks: "1", covers: "whatever shows", notCovered: "hidden carriers",
    pro: "least drugs, delicate fish eat sooner", con: "late start kills with velvet; needs daily attention", effortHours: [15, 25], exclusions: "none", failureModes: "absence of a watcher, resistant carriers" },
  { id: "qt-g-none", school: "no quarantine; trusted source + UV on display", coreDays: "0", tanks: "0", covers: "nothing reliably", notCovered: "everything",
    pro: "no effort, no drug", con: "residual risk high: UV hits only free-swimming stages that pass the lamp; eggs, cysts, worms, fish contact untouched; display may need 76 d fallow", effortHours: [0, 2], exclusions: "–", failureModes: "one infected arrival" },
]
