import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { PLANS } from '../catalogue/handbook/plans.data.ts'
import { ORGANISMS } from '../catalogue/handbook/organisms.data.ts'
import { FRESHWATER_CONDITIONS, MARINE_CONDITIONS } from '../catalogue/handbook/conditions.data.ts'
import { conditionFacts } from './condition-facts.ts'
import { isChemical, nextSteps, treatmentName } from './next-steps.ts'

test('a disease leads to the schools and add-ons that treat it, in water of its kind', () => {
  const velvet = nextSteps('marine-fish', conditionFacts('marine-velvet')!)
  expect(velvet.map(({ definition }) => definition)).toEqual(
    expect.arrayContaining(['qt-b-drug14', 'qt-a-cu30', 'qt-a-cq30', 'qt-c-velvet']),
  )
  for (const { definition, label } of velvet) {
    expect(DEFINITIONS.find(({ id }) => id === definition)!.treats).toContain('marine-velvet')
    expect(label).toMatch(/^[A-Z]/)
  }
  expect(nextSteps('marine-fish', conditionFacts('lymphocystis')!)).toEqual([])
  expect(nextSteps('freshwater-fish', conditionFacts('fw-ich')!).map(({ definition }) => definition)).not.toContain(
    'qt-a-cu30',
  )
})

test('an outbreak leads to its two plans: one that is run as a course, the other in the handbook', () => {
  expect(nextSteps('freshwater-algae', conditionFacts('black-beard-algae')!)).toEqual([
    { plan: 'peroxide-emersed', label: 'peroxide emersed' },
    { definition: 'peroxide-spot', label: expect.stringMatching(/^[A-Z]/) as string },
  ])
  expect(nextSteps('coral-and-pests', conditionFacts('zoa-nudi')!)[0]).toMatchObject({ definition: 'coral-dip-cycle' })
  expect(isChemical({ definition: 'peroxide-spot', label: '' })).toBe(true)
  expect(isChemical({ plan: 'watch-wait', label: '' })).toBe(false)
})

test('every plan that an organism names stands in the handbook', () => {
  const plans = new Set(PLANS.rows.map(({ id }) => id))
  for (const { id } of ORGANISMS.rows)
    for (const { plan } of nextSteps('coral-and-pests', conditionFacts(id)!))
      if (plan !== undefined) expect([id, plans.has(plan)]).toEqual([id, true])
})

test('every treatment of a condition has words', () => {
  for (const { treatment } of [...MARINE_CONDITIONS.rows, ...FRESHWATER_CONDITIONS.rows])
    for (const { id } of treatment.flat()) if (id !== null) expect(treatmentName(id).length).toBeGreaterThan(3)
  expect(treatmentName('act-aerate')).toBe('air: stone and surface ripple full on')
  expect(treatmentName('cu-any')).toMatch(/copper/)
  expect(treatmentName('tank-transfer')).toBe('tank transfer')
  expect(treatmentName(null)).toBe('')
})
