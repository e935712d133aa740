import type { Mistake, WorkDecision, WorkStage, Sheet } from './handbook.schema.ts'

/** The stages of an outbreak. */
export const STAGES: Sheet<WorkStage> = {
  title: "The stages of an outbreak",
  source: "outbreaks.md 1: hobby practice in the main",
  rows: [
  { id: "identify", question: "what could it be?", evidence: "3 photos in white light (whole tank, patch with ruler, macro) + answers to section 3 signs", record: "ranked candidates with probability" },
  { id: "confirm", question: "which of the top two?", evidence: "one discriminating check: microscope, loupe, smell, wipe, peroxide cup, lights-off look", record: "check, result, photo" },
  { id: "decide", question: "by hand, change conditions, or treat?", evidence: "decision table below; cause written down", record: "plan id, reason, cause" },
  { id: "act", question: "do the plan", evidence: "day 0 baseline, net volume, materials ticked", record: "each step with time and amount" },
  { id: "measure", question: "is it working?", evidence: "same measure, same hour, same light, same kit, every day (section 7)", record: "value, who, photo" },
  { id: "stop-or-escalate", question: "finished, failed or harmful?", evidence: "stop rule of the plan, never mood", record: "rule that fired" },
  { id: "prevent-relapse", question: "has the cause gone?", evidence: "4-8 weeks of weekly checks clean (cocoons, eggs, spores and cysts outlast the visible pest)", record: "weekly count, cause fixed y/n" },
  ],
}

/** What to decide. */
export const DECISIONS: Sheet<WorkDecision> = {
  title: "What to decide",
  source: "outbreaks.md 1: hobby practice in the main",
  rows: [
  { id: "emergency", useWhen: "urg 4: brown jelly, rapid tissue loss, gasping fish, mass die-off, suspected palytoxin", note: "act first (isolate, aerate, water change, carbon), identify in parallel" },
  { id: "do-nothing", useWhen: "harmless organism, or diatoms in a tank < 4 months", note: "watch-wait; record weekly" },
  { id: "change-conditions", useWhen: "always, for every alga, cyano and dino", note: "no treatment lasts while the cause stays" },
  { id: "by-hand", useWhen: "coverage < 10 % or <= 5 animals, on removable items, species does not spread from fragments", note: "first choice" },
  { id: "treat-spot", useWhen: "firmly attached, 10-30 % coverage, or item can leave the tank", note: "bench treatment beats in-tank treatment" },
  { id: "treat-tank", useWhen: ">= 30 % coverage, or toxic, or new sites appear after 14 d by hand", note: "only after confirm; one plan at a time; livestock exits listed" },
  ],
}

/** What goes wrong. */
export const MISTAKES: Sheet<Mistake> = {
  title: "What goes wrong",
  source: "outbreaks.md 1: hobby practice in the main",
  rows: [
  { id: "treat-before-identify", why: "wrong plan feeds the real pest (silicate removal helps dinos win)", guard: "lock chemical plans until one check is stored (urg 4 excepted)" },
  { id: "double-zero", why: "NO3 and PO4 stripped to 0 removes competitors, feeds dinos, starves coral", guard: "warn NO3 < 1 or PO4 < 0.02; export plans carry floors" },
  { id: "memory-not-records", why: "slow change is invisible from day to day", guard: "same-spot photo overlay, coverage grid" },
  { id: "blackout-untested", why: "die-off can more than double NO3 and PO4; corals bleach when light returns", guard: "daily test mandatory; stop rule ends the blackout early" },
  { id: "stopped-while-hiding", why: "cells in sand, eggs, cocoons, holdfasts survive; \"gone\" is not \"dead\"", guard: "success needs N clean checks, not one" },
  { id: "spray-under-water", why: "a spray bottle under water dilutes peroxide at once", guard: "syringe with rigid tip, flow off" },
  { id: "nominal-volume", why: "rock, sand and the real water line take 10-35 %", guard: "net-volume calculator, dose locked until set" },
  { id: "single-reading", why: "one odd test or count is mostly error", guard: "repeat before acting; trend needs >= 3 points" },
  { id: "two-plans-at-once", why: "nobody knows what worked; oxygen and toxin risks add up", guard: "one active treat-plan; 7 d gap" },
  ],
}
