/** How a coral looks, from worst to best: the scale of a survey. Normal: its colour is whole, its polyps are in; open: they are out. */
export const CORAL_CONDITIONS = ['gone', 'receding', 'pale', 'normal', 'open'] as const

/** A condition in words; the value itself where it is off the scale. */
export const conditionWord = (value: number): string => CORAL_CONDITIONS[value] ?? String(value)

/** How the water moves where a coral stands. */
export const FLOWS = ['none', 'gentle', 'pulsing', 'strong'] as const

/** After a move a coral is looked at again so many days later: further-schools.md 8, place log. */
export const LOOK_AFTER_MOVE_DAYS = 3
