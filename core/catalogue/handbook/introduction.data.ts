import type { IntroductionStep, Skirmish, Sheet } from './handbook.schema.ts'

/** Introducing the treated fish. */
export const INTRODUCTION: Sheet<IntroductionStep> = {
  title: "Introducing the treated fish",
  source: "quarantine.md 9: hobby practice in the main",
  rows: [
  { id: "intro-train", day: "−14 to 0", do: "train in quarantine to the display foods and feeding place", goOnIf: "eats two foods", stopIf: "not eating" },
  { id: "intro-light", day: "0", do: "lights off in display, dim room, evening; feed residents first", goOnIf: "calm", stopIf: null },
  { id: "intro-box", day: "0–5 (box days 2–5)", do: "see-through acclimation box with holes inside the display", goOnIf: "residents lose interest, newcomer eats in box", stopIf: "resident rams box for > 2 h or any bleeding" },
  { id: "intro-release", day: "3–7", do: "open at dusk, residents full, rearranged rock for territorial species", goOnIf: "less than 5 chases/h", stopIf: "fins torn in first hour" },
  { id: "intro-neutral", day: "0–7", do: "two rivals: move both to a tank neither owns (or rebuild the rock), weaker one 1–2 h ahead; later move both to the display together", goOnIf: "feed side by side 48 h", stopIf: "wounds, or one refuses food 48 h" },
  { id: "intro-pair", day: "", do: "mild rivals (e.g. several anthias, small wrasses, chromis) added at the same moment, odd numbers", goOnIf: "chases spread among many", stopIf: "one victim isolated" },
  { id: "intro-order", day: "", do: "peaceful first, bold last; same-shape rivals together or never", goOnIf: null, stopIf: null },
  { id: "intro-watch", day: "1–14", do: "obs sessions, breath-rate, appetite", goOnIf: "eating by day 3", stopIf: "see skirmish table" },
  ],
}

/** Skirmishes: what to accept and when to stop. */
export const SKIRMISHES: Sheet<Skirmish> = {
  title: "Skirmishes: what to accept and when to stop",
  source: "quarantine.md 9: hobby practice in the main",
  rows: [
  { id: "display", accept: "short chases (< 5 s), spread fins, tail slap, returns to feeding; falls daily", stopNow: "chase repeated > 10 per h for 2 days" },
  { id: "contact", accept: "light fin nick, heals", stopNow: "bites on body, missing scales, torn eye, blood" },
  { id: "refuge", accept: "newcomer has a place residents leave alone", stopNow: "newcomer pinned at surface, corner or pump intake" },
  { id: "appetite", accept: "both eat within 48 h", stopNow: "either fasts > 72 h" },
  ],
}
