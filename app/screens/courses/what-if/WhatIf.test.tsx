import { screen, within } from '@testing-library/react'
import type { Content } from '../../../../core/journal/entry.ts'
import { arrival, bareTank } from '../../../../core/journal/testing.ts'
import { sampleOf } from '../../../../scripts/testing/app.tsx'
import { fromNow } from '../../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../../scripts/testing/screens.tsx'
import { CoursePage } from '../CoursePage.tsx'

jest.mock('../ConcentrationChart.tsx', () => ({ __esModule: true, default: () => null }))

const DAY = 24 * 60
const salinity = (minutes: number, value: number): Content => ({
  kind: 'reading',
  happened: fromNow(minutes),
  tankId: 'q',
  parameter: 'salinity',
  result: { kind: 'value', value },
  unit: 'psu',
})

/** A course of the quarantine that has run for ten days. */
async function ask(definition: string, ...contents: readonly Content[]) {
  const { user, lines } = await openScreens(
    { '/courses/:courseId': <CoursePage /> },
    ['sighting', 'reading', 'dose', 'death'],
    sampleOf(
      bareTank('q', 'Quarantine'),
      arrival('n', 'q', 12, 1, 'Needle'),
      {
        kind: 'course-start',
        happened: fromNow(-10 * DAY),
        courseId: 'c',
        definition,
        tanks: { main: 'q' },
        animalIds: ['n'],
        readAt: '00:00',
      },
      ...contents,
    ),
    '/courses/c',
  )
  const section = (await screen.findByRole('heading', { name: 'What if' })).closest('section')!
  const answer = async (label: RegExp, text: string) => {
    const field = within(section).getByLabelText(label)
    await user.clear(field)
    await user.type(field, text)
    return field.closest('div')!.querySelector('output')!.textContent
  }
  return { user, lines, section, answer }
}

test('low salinity: a reading over 1.010 begins the days again, one under it goes on; raised early, what is left is said', async () => {
  const low = [-9, -8, -7, -6, -5, -4, -3, -2, -1].map((day) => salinity(day * DAY, 12))
  const { answer, lines, section } = await ask('qt-d-hypo', salinity(-10 * DAY - 60, 35), ...low)
  expect(await answer(/^Next salinity/, '12')).toMatch(/^the count goes on: full /)
  expect(await answer(/^Next salinity/, '15')).toMatch(
    /^over 13\.\d: .* the 30 days begin again .* at the earliest, not /,
  )
  expect(await answer(/^Next salinity/, '400')).toMatch(/^a salinity, such as 12 psu$/)
  expect(within(section).getByLabelText('Day it is brought up').closest('div')).toHaveTextContent(
    /before the count is full, left: marine ich [\d.]+ %/,
  )
  expect(lines('reading')).toHaveLength(10)
})

test('a deworming that comes too late is the first again', async () => {
  const dose: Content = {
    kind: 'dose',
    happened: fromNow(-5 * DAY),
    tankId: 'q',
    ingredient: 'praziquantel',
    amount: 1,
    unit: 'g',
    massMg: 1000,
  }
  const { answer } = await ask('qt-add-worm', dose)
  expect(await answer(/2 of 2, hours late$/, '24')).toMatch(/^in time, nothing changes|^it ends later/)
  expect(await answer(/2 of 2, hours late$/, '96')).toMatch(/^too late: .* number 1 again; full /)
  expect(await answer(/2 of 2, hours late$/, 'soon')).toBe('hours, such as 12')
})

test('watched without medicine: a sign begins the days again, a death adds to them; nothing of it is kept', async () => {
  const { user, section, lines } = await ask('qt-f-observe')
  await user.click(within(section).getByRole('button', { name: 'a sign is seen today?' }))
  expect(within(section).getByRole('status')).toHaveTextContent(/^A sign today: the days begin again, full .*, not /)
  await user.click(within(section).getByRole('button', { name: 'one dies, nobody knows of what?' }))
  expect(within(section).getByRole('status')).toHaveTextContent(/^A death today: full .*, not /)
  expect([...lines('sighting'), ...lines('death')]).toEqual([])
})
