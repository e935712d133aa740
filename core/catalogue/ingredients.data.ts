import type { Ingredient } from './ingredient.types.ts'

/**
 * What may stand on the shelf, by active ingredient. Agents: quarantine.md 5.1 (ids unchanged); salts: outbreaks.md 5.3.
 * `strengthOf` is what a product's strength is counted in: the copper of a copper product, the nitrate of potassium nitrate.
 * `amountIs` "volume" marks formalin, which is dosed in µL of 37 % product and never converted to formaldehyde.
 */
export const INGREDIENTS: readonly Ingredient[] = [
  { id: 'cu-chelated', name: 'chelated copper', words: ['copper', 'cu', 'chelated'], strengthOf: 'copper', raises: 'copper', kind: 'medicine', caution: 'Toxic if swallowed; gloves. Never with an ammonia-binding conditioner or with invertebrates in the water.', law: 'Sale rules vary.' },
  { id: 'cu-amine', name: 'amine-complexed copper', words: ['copper', 'cu', 'amine'], strengthOf: 'copper', raises: 'copper', kind: 'medicine', caution: 'Toxic if swallowed; gloves. Never with an ammonia-binding conditioner or with invertebrates in the water.', law: 'Sale rules vary.' },
  { id: 'cu-ion', name: 'copper sulphate', words: ['copper', 'cu', 'sulphate'], strengthOf: 'copper', raises: 'copper', kind: 'medicine', caution: 'Eye hazard; gloves and goggles. Never with an ammonia-binding conditioner or with invertebrates in the water.', law: 'Pesticide-type rules in places.' },
  { id: 'chloroquine', name: 'chloroquine phosphate', words: ['chloroquine'], strengthOf: 'chloroquine phosphate', raises: null, kind: 'medicine', caution: 'A few grams can kill a person: keep locked up, gloves and mask, never ingest.', law: 'Prescription in most places.' },
  { id: 'metronidazole', name: 'metronidazole', words: ['metronidazole', 'metro'], strengthOf: 'metronidazole', raises: null, kind: 'medicine', caution: 'Suspected carcinogen; gloves and mask.', law: 'Often prescription; banned in food fish.' },
  { id: 'praziquantel', name: 'praziquantel', words: ['praziquantel', 'prazi'], strengthOf: 'praziquantel', raises: null, kind: 'medicine', caution: 'Gloves. Extra air: it can feed a bloom that takes the oxygen.', law: 'Veterinary medicine in some places.' },
  { id: 'fenbendazole', name: 'fenbendazole', words: ['fenbendazole', 'fenben'], strengthOf: 'fenbendazole', raises: null, kind: 'medicine', caution: 'Gloves; avoid in pregnancy. Stays in rock and snails for weeks.', law: 'Livestock medicine; off-label here.' },
  { id: 'levamisole', name: 'levamisole', words: ['levamisole'], strengthOf: 'levamisole hydrochloride', raises: null, kind: 'medicine', caution: 'Toxic if swallowed; gloves.', law: 'Prescription in many places.' },
  { id: 'formalin', name: 'formalin (37 % formaldehyde solution)', words: ['formalin'], strengthOf: '37 % product', raises: null, kind: 'medicine', amountIs: 'volume', caution: 'Carcinogen with toxic vapour: gloves, goggles, outdoors or strong ventilation. Never use it with a white deposit; never near permanganate or bleach.', law: 'Restricted; hazardous transport.' },
  { id: 'peroxide', name: 'hydrogen peroxide', words: ['peroxide', 'h2o2'], strengthOf: 'hydrogen peroxide', raises: null, kind: 'medicine', caution: '6 % and over burns skin and eyes: gloves and goggles. Add peroxide to water, not water to peroxide; keep the cap vented.', law: 'Stronger grades are restricted.' },
  { id: 'kanamycin', name: 'kanamycin sulfate', words: ['kanamycin'], strengthOf: 'kanamycin', raises: null, kind: 'medicine', caution: 'Antibiotic: gloves; mind allergies. Only with a veterinarian.', law: 'Prescription or not approved in places.' },
  { id: 'ciprofloxacin', name: 'ciprofloxacin', words: ['ciprofloxacin', 'cipro'], strengthOf: 'ciprofloxacin', raises: null, kind: 'medicine', caution: 'Antibiotic: gloves. Only with a veterinarian.', law: 'Prescription; critical for people.' },
  { id: 'nitrofurazone', name: 'nitrofurazone', words: ['nitrofurazone'], strengthOf: 'nitrofurazone', raises: null, kind: 'medicine', caution: 'Suspected carcinogen; gloves and mask. Antibiotic: only with a veterinarian.', law: 'Banned in food fish; restricted.' },
  { id: 'enrofloxacin', name: 'enrofloxacin', words: ['enrofloxacin'], strengthOf: 'enrofloxacin', raises: null, kind: 'medicine', caution: 'Antibiotic: gloves. Only with a veterinarian.', law: 'Prescription.' },
  { id: 'methylene-blue', name: 'methylene blue', words: ['methylene'], strengthOf: 'methylene blue', raises: null, kind: 'medicine', caution: 'Stains; gloves. Kills the biofilter.', law: null },
  { id: 'malachite-green', name: 'malachite green (zinc-free oxalate)', words: ['malachite'], strengthOf: 'malachite green', raises: null, kind: 'medicine', caution: 'Carcinogen: gloves and mask; not in pregnancy.', law: 'Illegal for food fish in places.' },
  { id: 'permanganate', name: 'potassium permanganate', words: ['permanganate'], strengthOf: 'potassium permanganate', raises: null, kind: 'medicine', caution: 'Strong oxidiser: gloves and goggles. Never together or stored with formalin.', law: 'Precursor controls in places.' },
  { id: 'diflubenzuron', name: 'diflubenzuron', words: ['diflubenzuron'], strengthOf: 'diflubenzuron', raises: null, kind: 'medicine', caution: 'Gloves. Never to drains or nature.', law: 'Restricted pesticide in places; ask a veterinarian.' },
  { id: 'iodine-dip', name: 'iodine (coral dip)', words: ['iodine'], strengthOf: 'iodine, as I2', raises: null, kind: 'medicine', caution: 'Stains; eye hazard; gloves. Mind thyroid disease. Never in the display.', law: null },
  { id: 'essential-oil-dip', name: 'essential-oil coral dip', words: ['oildip', 'coraldip'], strengthOf: 'product', raises: null, kind: 'medicine', caution: 'Gloves and goggles; never in the tank. The label decides.', law: null },
  { id: 'fluconazole', name: 'fluconazole', words: ['fluconazole'], strengthOf: 'fluconazole', raises: null, kind: 'medicine', caution: 'Human antifungal, used off-label. Ask a veterinarian.', law: 'Prescription in many places.' },
  { id: 'salt', name: 'salt (sodium chloride, for fresh water)', words: ['salt'], strengthOf: 'sodium chloride', raises: null, kind: 'salt', caution: null, law: null },
  { id: 'epsom-salt', name: 'Epsom salt (magnesium sulfate heptahydrate)', words: ['epsom'], strengthOf: 'magnesium sulfate heptahydrate', raises: null, kind: 'salt', caution: null, law: null },
  { id: 'sea-salt', name: 'sea salt mix', words: ['seasalt'], strengthOf: 'sea salt', raises: null, kind: 'salt', caution: null, law: null },
  { id: 'sodium-bicarbonate', name: 'sodium bicarbonate', words: ['bicarbonate', 'bicarb'], strengthOf: 'sodium bicarbonate', raises: 'alk-kh', kind: 'salt', caution: null, law: null },
  { id: 'sodium-carbonate', name: 'sodium carbonate', words: ['carbonate'], strengthOf: 'sodium carbonate', raises: 'alk-kh', kind: 'salt', caution: 'Caustic dust: goggles, powder into water.', law: null },
  { id: 'calcium-chloride-dihydrate', name: 'calcium chloride dihydrate', words: ['cacl2', 'calcium'], strengthOf: 'calcium', raises: 'ca', kind: 'salt', caution: 'Gets hot as it dissolves.', law: null },
  { id: 'magnesium-chloride-hexahydrate', name: 'magnesium chloride hexahydrate', words: ['mgcl2', 'magnesium'], strengthOf: 'magnesium', raises: 'mg', kind: 'salt', caution: null, law: null },
  { id: 'potassium-chloride', name: 'potassium chloride', words: ['kcl'], strengthOf: 'potassium', raises: 'k', kind: 'salt', caution: null, law: null },
  { id: 'potassium-carbonate', name: 'potassium carbonate', words: ['k2co3'], strengthOf: 'potassium', raises: 'k', kind: 'salt', caution: 'Caustic dust: goggles. Raises alkalinity too.', law: null },
  { id: 'potassium-bicarbonate', name: 'potassium bicarbonate', words: ['khco3'], strengthOf: 'potassium', raises: 'k', kind: 'salt', caution: 'Raises alkalinity too.', law: null },
  { id: 'sodium-nitrate', name: 'sodium nitrate', words: ['nano3', 'nitrate'], strengthOf: 'nitrate', raises: 'no3', kind: 'salt', caution: 'Oxidiser: keep from heat and organics.', law: null },
  { id: 'potassium-nitrate', name: 'potassium nitrate', words: ['kno3', 'nitrate'], strengthOf: 'nitrate', raises: 'no3', kind: 'salt', caution: 'Oxidiser: keep from heat and organics.', law: 'Sale limited in places.' },
  { id: 'monopotassium-phosphate', name: 'monopotassium phosphate', words: ['kh2po4', 'phosphate'], strengthOf: 'phosphate', raises: 'po4', kind: 'salt', caution: null, law: null },
  { id: 'sodium-silicate-pentahydrate', name: 'sodium silicate pentahydrate', words: ['silicate'], strengthOf: 'silica', raises: 'sio2', kind: 'salt', caution: 'Stock solution is caustic, pH over 12: gloves and goggles.', law: null },
  { id: 'ammonium-chloride', name: 'ammonium chloride', words: ['ammonium'], strengthOf: 'ammonia, as N', raises: 'tan', kind: 'salt', caution: 'Only in water without animals.', law: null },
  { id: 'kalk', name: 'calcium hydroxide', words: ['kalk'], strengthOf: 'calcium hydroxide', raises: null, kind: 'salt', caution: 'Caustic: goggles and gloves, powder into water, never the reverse.', law: null },
  { id: 'ammonia-binder', name: 'ammonia-binding conditioner', words: ['binder', 'conditioner'], strengthOf: 'product', raises: null, kind: 'conditioner', caution: 'Never with copper in the water: it can free the copper in a deadlier form.', law: null },
  { id: 'dechlorinator', name: 'dechlorinator (sodium thiosulfate)', words: ['thiosulfate', 'dechlorinator'], strengthOf: 'sodium thiosulfate', raises: null, kind: 'conditioner', caution: 'Neutralises peroxide, permanganate and iodine.', law: null },
  { id: 'nitrifying-bacteria', name: 'bottled nitrifying bacteria', words: ['bacteria'], strengthOf: 'product', raises: null, kind: 'conditioner', caution: null, law: null },
]
