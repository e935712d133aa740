import type { Rule } from './definition.ts'

/** The universal stop of every plan, outbreaks.md 5.1: gasping, ammonia with fish in, or a death without a cause. */
export const UNIVERSAL_STOP: Rule = {
  id: 'stop-0',
  role: 'stop',
  when: {
    any: [
      { sign: ['surface-gasping'], withinHours: 24 },
      { left: { parameter: 'tan' }, op: '>=', right: 0.25 },
      { unexplainedDeath: { withinDays: 1 } },
    ],
  },
  says: 'a fish gasps, ammonia at 0.25 mg/L or over, or a death without a cause',
  then: 'stop, change 30–50 % of the water, air, carbon where it is not forbidden',
}
