import { DEFINITIONS } from './all-definitions.ts'
import { DEFINITION_FILES } from './load-definitions.ts'

test('every definition stands in exactly the file that is said to hold it', async () => {
  const held = await Promise.all(DEFINITION_FILES.map(async ({ load }) => (await load()).map(({ id }) => id)))
  expect(held).toEqual(DEFINITION_FILES.map(({ ids }) => ids))
  expect(held.flat()).toEqual(DEFINITIONS.map(({ id }) => id))
})

test('a definition is known once it is loaded; one that no file holds stays unknown', async () => {
  await jest.isolateModulesAsync(async () => {
    const { definitionById } = await import('./definitions.ts')
    const { loadDefinitions } = await import('./load-definitions.ts')
    expect(definitionById('fallow-76')).toBeUndefined()
    await loadDefinitions(['fallow-76', 'of-a-later-version'])
    expect(definitionById('fallow-76')?.name).toMatch(/76/)
    expect(definitionById('qt-c-ttm')).toBeUndefined()
    expect(definitionById('of-a-later-version')).toBeUndefined()
  })
})
