import type { Ramp } from './treatment.types.ts'

/**
 * How an agent is brought up to its dose, quarantine.md 5.5 (hobby practice; copper sulphate FA165). `levels` in the dose's unit;
 * null where a ramp is said in steps of another kind. `emergency` is direct-to-dose.
 */
export const RAMPS: readonly Ramp[] = [
  { agent: 'cu-chelated', levels: [1, 1.5, 2, 2.25], words: '1.0 → 1.5 → 2.0 → 2.25 mg/L', intervalHours: [12, 24], total: '36–72 h (HP)',
    emergency: { allowed: 'yes', to: 2, words: 'to 2.0 at once for active velvet; not for groups that do not tolerate it' } },
  { agent: 'cu-amine', levels: [0.25, 0.5], words: '0.25 → 0.5 mg/L', intervalHours: [48, 48], total: '48 h (HP)',
    emergency: { allowed: 'vet', to: 0.5, words: 'vet or label only' } },
  { agent: 'cu-ion', levels: [0.05, 0.1, 0.15, 0.18], words: '0.05 → 0.10 → 0.15 → 0.18 mg/L', intervalHours: [12, 24], total: '2–3 d (FA165 advises slow)',
    emergency: { allowed: 'no', to: null, words: 'no' } },
  { agent: 'chloroquine', levels: null, words: 'single; half + half for sensitive wrasses', intervalHours: [24, 24], total: '24–48 h (HP)',
    emergency: { allowed: 'yes', to: null, words: 'yes' } },
  { agent: 'hyposalinity', levels: null, words: '4–8 equal steps 1.026 → 1.009', intervalHours: [6, 12], total: '24–48 h; raise ≤ 0.002 SG/day, about 8 d (HP)',
    emergency: { allowed: 'yes', to: null, words: 'down in 24 h for hardy bony fish only' } },
  { agent: 'heat', levels: null, words: '+1 °C', intervalHours: [2, 6], total: '≤ 3 °C/day', emergency: { allowed: 'no', to: null, words: 'no' } },
  { agent: 'salt', levels: null, words: '+1 g/L', intervalHours: [12, 12], total: '24–72 h', emergency: { allowed: 'yes', to: 1, words: 'nitrite: 1 g/L at once' } },
  { agent: 'others', levels: null, words: 'full dose', intervalHours: null, total: '–', emergency: { allowed: 'yes', to: null, words: '–' } },
]
