import type { Hazard, Sheet } from './handbook.schema.ts'

/** Human and legal cautions of treatments. */
export const HAZARDS: Sheet<Hazard> = {
  title: "Human and legal cautions of treatments",
  source: "quarantine.md 10: labels and law come first; see the rows",
  rows: [
  { id: "ppe-formalin", risk: "vapour, carcinogen, skin sensitiser", rule: "outdoors or strong airflow; nitrile gloves, goggles; store 15–25 °C, discard if white deposit; away from permanganate and bleach; rinse spills with much water" },
  { id: "ppe-peroxide", risk: "≥ 6 % burns, fire with organics", rule: "gloves, goggles; add peroxide to water, not water to peroxide; vented cap" },
  { id: "ppe-powders", risk: "chloroquine, metronidazole, antibiotics, nitrofurazone, malachite-green", rule: "mask, gloves, scale in draught-free box, no food nearby; lock from children and pets; poison-centre number shown" },
  { id: "palytoxin", risk: "zoanthids, palythoa (Deeds 2011)", rule: "gloves, goggles, no cutting in air, no boiling, scrubbing, microwaving or drying rock; numb lips, metallic taste, fever, breathlessness → emergency care; keep pets away" },
  { id: "zoonosis", risk: "mycobacteria, Vibrio in cuts", rule: "no bare broken skin; non-healing lump or hot swelling: doctor, mention aquarium" },
  { id: "allergy", risk: "antibiotics, spines", rule: "stop, doctor; lionfish or ray sting: hot water 40–45 °C, doctor" },
  { id: "electrical", risk: "water + mains", rule: "GFCI/RCD on every socket, drip loops, unplug before hands enter, heater cools before removal" },
  { id: "antibiotics-law", risk: "many are prescription-only or not approved for fish", rule: "app never sells or dispenses; defer to vet; full course, one drug, culture where possible; never keep leftovers" },
  { id: "resistance", risk: "wasted or low-dose antibiotics breed resistance", rule: "no prophylactic antibiotics" },
  { id: "food-fish", risk: "malachite-green, nitrofurans, metronidazole, chloroquine", rule: "never for fish that may be eaten" },
  { id: "disposal", risk: "copper, formalin, antibiotics, treated water", rule: "carbon-treat or neutralise where practical; sanitary sewer only if local rules allow; never storm drain, garden pond, sea; packs to hazardous waste" },
  { id: "release", risk: "fish, plants, snails, packing water", rule: "never release; bleach packing water" },
  { id: "welfare", risk: "suffering fish", rule: "vet; euthanasia per AVMA 2020 and local law" },
  { id: "defer", risk: "every dose", rule: "label → local law → licensed aquatic vet beat this handbook" },
  ],
}

/** Human and legal cautions of outbreaks. */
export const OUTBREAK_HAZARDS: Sheet<Hazard> = {
  title: "Human and legal cautions of outbreaks",
  source: "outbreaks.md 9: labels and law come first; see the rows",
  rows: [
  { id: "palytoxin", risk: "zoanthids and Ostreopsis-type blooms", rule: "never boil, microwave, heat, pressure-wash or dry-scrape rock carrying them; work wet, gloves, goggles, mask, window; metallic taste, cough, chest pain, fever after work -> leave, emergency services, name palytoxin" },
  { id: "peroxide", risk: ">= 6 % burns skin and eyes; > 12 % sale to the public restricted in places (e.g. Regulation (EU) 2019/1148)", rule: "goggles, gloves, dilute to 3 %, vented bottle, no acids or bleach nearby; eye: rinse 15 min" },
  { id: "iodine", risk: "stains, allergy, thyroid", rule: "gloves; not in display; ask about thyroid disease" },
  { id: "caustics-eyes", risk: "calcium hydroxide, silicate stock, carbonates, injected paste; chisels, rotary tools, squirting anemones", rule: "powder into water, never reverse; goggles always, dust mask, child-proof storage" },
  { id: "insecticides-drugs", risk: "off-label, illegal in places, resistance", rule: "no recipe for insecticides; vet advice for antibiotics, antifungals, dewormers; keep labelled, out of food use" },
  { id: "electricity", risk: "wet hands, submersible UV and heaters", rule: "RCD/GFCI, drip loop, unplug before reaching in; UV-C never visible to eye or skin" },
  { id: "worms-stings", risk: "bristles, vermetids, mantis, rabbit-fish spines", rule: "tongs, gloves; bristles: tape; hot water 40-45 °C for spines" },
  { id: "ingestion", risk: "dinos, tank water, siphon by mouth", rule: "never start a siphon by mouth; wash hands; do not eat tank life" },
  { id: "release", risk: "organisms, plants, rock, water", rule: "never to the wild or storm drain; dead stock frozen in the waste bin; salt or medicated water to sewer where law allows; bleach tools used on invasive algae" },
  ],
}
