import type { Definition, Hours, Track } from './definition.ts'

/** The end of an add-on: once every dose was given. */
export const CLOSE_ADD_ON = {
  id: 'close',
  title: 'Finish the add-on',
  act: 'close',
  due: { by: 'close-doses' },
} as const

/** Doses of one medicine some hours apart; one that was missed makes the count end later. */
export const doseSeries = (
  id: string,
  name: string,
  dose: string,
  need: number,
  apart: Hours,
  { first = { after: 'start', hours: [0, 0, 24] }, only }: Partial<Extract<Track, { of: 'dose' }>> = {},
): Track => ({
  id,
  kind: 'rounds',
  of: 'dose',
  name,
  dose,
  need,
  apart: [apart],
  first,
  missed: 'extend',
  ...(only && { only }),
})

/** A course of doses beside a school, or alone. */
export const addOn = (
  part: Pick<Definition, 'id' | 'name' | 'treats' | 'products' | 'days' | 'lead' | 'tracks' | 'steps' | 'rules'> &
    Partial<Pick<Definition, 'options' | 'roles' | 'restore' | 'handling' | 'water'>>,
): Definition => ({
  kind: 'add-on',
  roles: [{ role: 'main', label: 'Tank', must: true }],
  drugs: [],
  options: [],
  ends: 'doses',
  handling: 0,
  restore: [],
  ...part,
})
