import type { Session, WatchMeasure, Sheet } from './handbook.schema.ts'

/** Times to watch. */
export const SESSIONS: Sheet<Session> = {
  title: "Times to watch",
  source: "quarantine.md 1: general textbook knowledge in the line of Noga 2010, where nothing else stands in the row",
  rows: [
  { id: "obs-dark", when: "before lights-on, dim torch at a low angle", minutes: "5", lookFor: ["breathing rate of resting fish", "dust sheen on body and clear fins", "fish out of its hide"] },
  { id: "obs-lights-on", when: "5–20 min after lights-on", minutes: "5", lookFor: ["new spots (many parasites leave or attach around night and dawn), colour, eyes"] },
  { id: "obs-feeding", when: "at a meal", minutes: "8", lookFor: ["comes / hesitates / spits / ignores", "faeces afterwards", "belly line"] },
  { id: "obs-distance", when: "midday, 2 m away", minutes: "7", lookFor: ["swimming, hiding, flashing count in 5 min, position relative to the pump stream"] },
  { id: "obs-evening", when: "before lights-off", minutes: "5", lookFor: ["breathing, aggression, sleeping place, equipment check"] },
  ],
}

/** What is counted while watching. */
export const WATCH_MEASURES: Sheet<WatchMeasure> = {
  title: "What is counted while watching",
  source: "quarantine.md 1: editorial assumption where the row says EA",
  rows: [
  { id: "breath-rate", unit: "beats/min", how: "gill-cover beats in 15 s × 4, fish at rest, three readings", warnAt: "+30 % over own baseline, or > 80", alarmAt: "+60 %, or > 120", source: "EA" },
  { id: "flashing", unit: "scrapes per 5 min", how: "count", warnAt: "2", alarmAt: "5", source: "EA" },
  { id: "appetite", unit: "0–4 score", how: "0 ignores, 1 looks, 2 mouths and spits, 3 eats some, 4 eats all", warnAt: "drop of 1", alarmAt: "0 for 24 h in a fish that was eating", source: "EA" },
  { id: "body-condition", unit: "1–5 score", how: "1 hollow belly and knife back, 3 normal, 5 bloated", warnAt: "2 or 5", alarmAt: "1", source: "EA" },
  { id: "total-ammonia", unit: "mg/L (NH3+NH4)", how: "liquid test daily for 14 d, after each dose", warnAt: "0.25", alarmAt: "0.5; free ammonia by ammonia.free (as N): alarm 0.02, urgent 0.05", source: "EA; harm from un-ionised NH3 ≥ 0.05 mg/L (FA16). A reading keeps its basis (NH3, NH4 or N)" },
  { id: "oxygen", unit: "mg/L", how: "meter if owned", warnAt: "6", alarmAt: "5", source: "Noga 2010 (keep > 5)" },
  ],
}
