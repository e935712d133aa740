import { DEFINITIONS } from '../../catalogue/courses/all-definitions.ts'
import { ORGANISMS } from '../../catalogue/handbook/organisms.data.ts'
import { isFor } from './who-and-where.ts'

const WATERS = ['marine', 'freshwater'] as const
const watersOf = (organism: string): string[] => {
  const water = ORGANISMS.rows.find(({ id }) => id === organism)?.domain
  return water === undefined ? [] : water === 'both' ? [...WATERS] : [water === 'fresh' ? 'freshwater' : water]
}

test.each(DEFINITIONS.filter(({ kind }) => kind === 'plan').map((one) => [one.id, one] as const))(
  '%s is for the water that what it treats lives in, and for no other',
  (_, one) => {
    const lived = new Set(one.treats.flatMap(watersOf))
    const isFors = WATERS.filter((water) => isFor(one, water))
    expect(isFors.length).toBeGreaterThan(0)
    for (const water of isFors) if (lived.size > 0) expect([...lived]).toContain(water)
  },
)

test('a plan for sea water alone is not for a freshwater tank', () => {
  const plan = DEFINITIONS.find(({ id }) => id === 'dino-uv')!
  expect(WATERS.map((water) => isFor(plan, water))).toEqual([true, false])
})
