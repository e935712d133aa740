/** Where each parameter’s bands and uncertainty come from: apart from the parameters, which the first screen loads. */
export const PARAMETER_SOURCES: Readonly<Record<string, string>> = {
  'temp': 'hobby practice',
  'salinity': 'hobby practice; 1 ppt is taken as 1 psu',
  'ph': 'hobby practice',
  'alk-kh': 'hobby practice; drop kits 1 dKH',
  'ca': 'hobby practice',
  'mg': 'hobby practice',
  'k': 'hobby practice',
  'no3': 'hobby practice; as the ion',
  'po4': 'hobby practice; as the ion',
  'tan': 'hobby practice; a reading keeps its basis, NH3, NH4 or N',
  'nh3': 'quarantine.md 5.4, ammonia badge: four colours, coarse, slow, sticks; taken as N. The width is an editorial assumption: one colour',
  'no2': 'hobby practice',
  'sio2': 'hobby practice',
  'gh': 'hobby practice',
  'copper': 'quarantine.md 5.4, total-copper photometer; upper plausible limit: editorial assumption, over twice the highest band',
  'oxygen': 'quarantine.md 1 and 5.4; Noga 2010 (keep over 5)',
}
