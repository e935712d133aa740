import type { ProtocolStep } from './treatment.types.ts'

/**
 * Steps of the protocols, quarantine.md 7.2; day 0 is entry.
 */
export const PROTOCOL_STEPS: readonly ProtocolStep[] = [
  { protocol: "qt-a-cu30", step: 1, day: "0", action: "acclimate, observe 24 h unless signs", value: "–", gate: "ammonia < 0.25" },
  { protocol: "qt-a-cu30", step: 2, day: "1–4", action: "ramp", value: "cu-chelated-std", gate: "two in-band readings ≥ 12 h apart (EA); the clock itself is `clock.therapeutic`" },
  { protocol: "qt-a-cu30", step: 3, day: "clock 0–30", action: "hold", value: "in band, test daily", gate: "no dip below low" },
  { protocol: "qt-a-cu30", step: 4, day: "clock 30", action: "carbon, water changes; deworm; observe", value: "14–28 d", gate: "no sign" },
  { protocol: "qt-b-drug14", step: 1, day: "0–3", action: "ramp copper, or dose chloroquine", value: "cu-chelated-std, chloroquine-std", gate: "copper: as step 2 above; chloroquine: clock starts at the full dose (dose log is the only proof)" },
  { protocol: "qt-b-drug14", step: 2, day: "clock 0–14", action: "hold", value: "in band", gate: "held throughout" },
  { protocol: "qt-b-drug14", step: 3, day: "clock 14+", action: "transfer under rules 7.3", value: "–", gate: "five rules all true" },
  { protocol: "qt-b-drug14", step: 4, day: "+1 to +28", action: "observe, deworm", value: "praziquantel-tank × 2", gate: "no sign" },
  { protocol: "qt-c-ttm", step: 1, day: "h 72, 144, 216, 288", action: "move fish only, ≤ 72 h apart, ≥ 4 moves, ≥ 12 d", value: "–", gate: "vacated tank and gear emptied, bleached or dried ≥ 24 h before reuse" },
  { protocol: "qt-c-velvet", step: 1, day: "h 36, 72, 108, 144, 180, 216, 252, 288", action: "move, ≤ 36 h apart; 12 d = 8 moves (six moves = 216 h only)", value: "–", gate: "as above" },
  { protocol: "qt-c-hybrid", step: 1, day: "h 72, 144, 216, 288", action: "standard moves", value: "–", gate: "as above" },
  { protocol: "qt-c-hybrid", step: 2, day: "h 72 and h 216", action: "peroxide bath, then go to the new tank; exactly 144 h (6 d) apart", value: "peroxide-bath", gate: "fish calm; stop on loss of balance" },
  { protocol: "qt-d-hypo", step: 1, day: "0–2", action: "lower salinity", value: "hyposalinity-std", gate: "pH ≥ 7.8, eating" },
  { protocol: "qt-d-hypo", step: 2, day: "clock 0–30", action: "hold, top up fresh water twice daily", value: "1.008–1.009", gate: "never > 1.010" },
  { protocol: "qt-d-hypo", step: 3, day: "30–38", action: "raise", value: "≤ 0.002/day", gate: "–" },
  { protocol: "qt-e-uronema", step: 1, day: "0", action: "formalin bath before the tank", value: "formalin-bath", gate: "oxygen > 6 mg/L" },
  { protocol: "qt-e-uronema", step: 2, day: "0–10", action: "metronidazole in the water every 24 h and in food", value: "metronidazole-uronema, metronidazole-food", gate: "eating; re-score daily; then go on with a, b or c" },
  { protocol: "qt-f-observe", step: 1, day: "0–30", action: "30 min/day + sentinels", value: "–", gate: "at first sign jump to the matching plan" },
  { protocol: "qt-add-worm", step: 1, day: "when stable and eating, after the main drug", action: "praziquantel round 1, round 2 day 5–9 later", value: "praziquantel-tank", gate: "oxygen good" },
  { protocol: "qt-add-worm", step: 2, day: "+ 7 d", action: "gut worms: fenbendazole food 3 d, repeat 14–21 d later", value: "fenbendazole-food", gate: "weight rising" },
  { protocol: "qt-freshwater", step: 1, day: "0–28", action: "28 d (range 14–42, HP) bare tank, heater, sponge filter", value: "–", gate: "14 d without signs before leaving" },
  { protocol: "qt-freshwater", step: 2, day: "7–21", action: "wild or farmed risk: praziquantel × 2, levamisole or fenbendazole × 2; others on sign", value: "doses 5.2", gate: "eating" },
]
