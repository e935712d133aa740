import { ANIMAL_GROUPS } from './animal-group.ts'
import { groupOfSpecies } from './group-of-species.ts'

test.each([
  ['orchid dottyback', 'dottyback-basslet'],
  ['Royal gramma', 'dottyback-basslet'],
  ['longnose hawkfish', 'hawkfish'],
  ['matted filefish', 'filefish'],
  ['yellow tang', 'surgeonfish'],
  ['leopard wrasse', 'wrasse-sand'],
  ['six-line wrasse', 'wrasse'],
  ['watchman goby', 'goby-blenny'],
  ['3 gobies', 'goby-blenny'],
  ['sexy shrimp', 'shrimp'],
  ['porcelain crab', 'crab'],
  ['hermit', 'crab'],
  ['turbo snail', 'snail'],
  ['tuxedo urchin', 'star-urchin'],
  ['bubble-tip anemone', 'anemone'],
  ['zoanthid frags', 'coral-soft'],
  ['green star polyps', undefined],
  ['toadstool leather', 'coral-soft'],
  ['torch coral heads', 'coral-lps'],
  ['Montipora plates', 'coral-sps'],
])('%s, in the sea: %s', (species, id) => {
  expect(groupOfSpecies(species, 'marine')?.id).toBe(id)
})

test('the water tells shrimp from shrimp', () => {
  expect(groupOfSpecies('algae shrimp', 'freshwater')?.id).toBe('fw-shrimp')
  expect(groupOfSpecies('ember tetras', 'freshwater')?.id).toBe('fw-scaleless')
  expect(groupOfSpecies('ember tetras', 'marine')).toBeUndefined()
})

test('what two groups may mean, or nobody knows, is left to the keeper', () => {
  for (const species of ['anemone crab', 'clam shrimp', 'pygmy goby', 'angelfish', 'coral', 'a fish', 'Needle', ''])
    expect(groupOfSpecies(species, 'marine')).toBeUndefined()
})

test('every group’s own name points to it, but for the names that say nothing', () => {
  const silent = ANIMAL_GROUPS.filter((group) => groupOfSpecies(group.name, group.water)?.id !== group.id)
  expect(silent.map(({ id }) => id)).toEqual([
    'marine-fish',
    'angelfish-large',
    'angel-dwarf',
    'freshwater-fish',
    'coral-lps',
    'coral-sps',
  ])
})
