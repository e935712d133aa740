import type { DailyCap, PeroxideCap, Salt, Sheet } from './handbook.schema.ts'

/** Peroxide in the tank. */
export const PEROXIDE_CAPS: Sheet<PeroxideCap> = {
  title: "Peroxide in the tank",
  source: "outbreaks.md 5.3: worked out for this handbook",
  rows: [
  { id: "normal-cap-per-session", "ml3": 2.6, "ml6": 1.3, "ml12": 0.66, mgPerL: "0.79", rule: "= 1 mL of 3 % per 10 US gal; fish in" },
  { id: "high-one-off", "ml3": 26, "ml6": 13, "ml12": 6.6, mgPerL: "7.9", rule: "= 1 mL of 3 % per US gal; small tank, fish and bio-media out; dilute to 3 % first: 6 % 1+1, 12 % 1+3 with RO water" },
  { id: "strip-before-fish-return", "ml3": null, "ml6": null, "ml12": null, mgPerL: "<= 1", rule: "else third 50 % change or 24 h aeration" },
  ],
}

/** Salts that raise an element. */
export const SALTS: Sheet<Salt> = {
  title: "Salts that raise an element",
  source: "outbreaks.md 5.3: worked out from their formulas",
  rows: [
  { id: "sodium-bicarbonate", adds: "alk", "gPer100L": 3.0, step: "1 dKH", sideEffect: "pH small drop" },
  { id: "sodium-carbonate", adds: "alk", "gPer100L": 1.89, step: "1 dKH", sideEffect: "pH rises" },
  { id: "calcium-chloride-dihydrate", adds: "ca", "gPer100L": 3.67, step: "10 mg/L", sideEffect: "chloride" },
  { id: "magnesium-chloride-hexahydrate", adds: "mg", "gPer100L": 8.36, step: "10 mg/L", sideEffect: "chloride" },
  { id: "potassium-chloride", adds: "k", "gPer100L": 1.91, step: "10 mg/L", sideEffect: "none" },
  { id: "potassium-carbonate", adds: "k", "gPer100L": 1.77, step: "10 mg/L", sideEffect: "alk +0.72 dKH: book it" },
  { id: "potassium-bicarbonate", adds: "k", "gPer100L": 2.56, step: "10 mg/L", sideEffect: "alk +0.72 dKH: book it" },
  { id: "sodium-nitrate", adds: "no3", "gPer100L": 0.137, step: "1 mg/L", sideEffect: "Na" },
  { id: "potassium-nitrate", adds: "no3", "gPer100L": 0.163, step: "1 mg/L", sideEffect: "K +0.63 mg/L; oxidiser, sale limited" },
  { id: "monopotassium-phosphate", adds: "po4", "gPer100L": 0.00143, step: "0.01 mg/L", sideEffect: "stock 1.43 g/L: 1 mL = 0.01 mg/L in 100 L" },
  { id: "sodium-silicate-pentahydrate", adds: "sio2", "gPer100L": 0.353, step: "1 mg/L", sideEffect: "alk +0.09 dKH per mg/L; stock 35.3 g/L: 10 mL = 1 mg/L in 100 L" },
  ],
}

/** How much may change in a day. */
export const DAILY_CAPS: Sheet<DailyCap> = {
  title: "How much may change in a day",
  source: "outbreaks.md 5.4: hobby practice in the main",
  rows: [
  { id: "alk", raise: "1.0 dKH (0.5 SPS)", lower: "0.5 dKH", note: "<= 0.25 dKH per portion" },
  { id: "ca", raise: "20-25 mg/L", lower: "water change only", note: "check Mg first" },
  { id: "mg", raise: "50-100 mg/L", lower: "water change only", note: "4+ portions" },
  { id: "k", raise: "10-20 mg/L", lower: "water change only", note: "confirm by second kit" },
  { id: "no3", raise: "2 mg/L SPS, 5 others", lower: "5 mg/L or 25 %, smaller", note: "floor 2 (dinos 5)" },
  { id: "po4", raise: "0.02-0.03 mg/L", lower: "0.02-0.05 below 0.2; 20 % above", note: "floor 0.03 (dinos 0.05)" },
  { id: "salinity", raise: "1 ppt", lower: "2 ppt", note: null },
  { id: "temp", raise: "1 °C", lower: "1 °C", note: "emergency cooling 2 °C" },
  { id: "sio2", raise: "1 mg/L", lower: "none", note: "ceiling 3" },
  { id: "kalk-paste", raise: "0.5 g Ca(OH)2 per 100 L per session", lower: "", note: "= +0.38 dKH, pH rise <= 0.2 [C]" },
  ],
}
