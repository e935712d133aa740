import { PARAMETERS, type Parameter } from './parameter.ts'

/** What a keeper asks after first: medicine, then what can kill, then what is fed, then the rest. */
const ORDER: readonly string[] = [
  'copper',
  'tan',
  'nh3',
  'no2',
  'oxygen',
  'no3',
  'po4',
  'alk-kh',
  'ph',
  'salinity',
  'temp',
  'ca',
  'mg',
  'k',
  'sio2',
  'gh',
]

/** The parameters in the order in which they are asked for and shown. */
export const PARAMETERS_AS_ASKED: readonly Parameter[] = [...PARAMETERS].sort(
  (a, b) => ORDER.indexOf(a.id) - ORDER.indexOf(b.id),
)
