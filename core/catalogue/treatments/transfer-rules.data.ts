import type { TransferRule } from './treatment.types.ts'

/**
 * The five rules of "no signs, then move", quarantine.md 7.3.
 */
export const TRANSFER_RULES: readonly TransferRule[] = [
  { id: "tr-1", rule: "Only the fish moves: wet hands, net, bag, filter, decor and water stay behind", why: "cysts ride on wet things" },
  { id: "tr-2", rule: "Do not lower the drug level before the move", why: "a drop lets late parasites attach" },
  { id: "tr-3", rule: "Observation tank is sterile and ≥ 3 m (10 ft) from any saltwater", why: "spray carries parasites: ~0.4 m in still air, about 3 m with moving air (Roberts-Thomson 2006, verify)" },
  { id: "tr-4", rule: "The countdown starts only once therapeutic and is held throughout", why: "days below band do not count" },
  { id: "tr-5", rule: "No signs at the moment of transfer, or no transfer", why: "otherwise the new tank is infected" },
]
