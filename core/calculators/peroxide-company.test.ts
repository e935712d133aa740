import { ward } from '../courses/testing/ward.ts'
import { peroxideCompanyIn } from './peroxide-company.ts'

test('the most sensitive in the water decide; an empty tank is not taken for a bare one', () => {
  const it = ward()
  const arrives = (animalId: string, group: string) =>
    it.write({ kind: 'arrival', ...it.at(0, '09:00'), animalId, tankId: 'obs', species: group, group, count: 1 })
  expect(peroxideCompanyIn(it.journal, 'obs')).toBe('fish')
  arrives('a', 'wrasse')
  expect(peroxideCompanyIn(it.journal, 'obs')).toBe('fish')
  arrives('b', 'snail')
  expect(peroxideCompanyIn(it.journal, 'obs')).toBe('animals')
  arrives('c', 'shrimp')
  expect(peroxideCompanyIn(it.journal, 'obs')).toBe('sensitive')
})
