import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const ROOT = join(__dirname, '../..')

/**
 * Figures that are put into a sentence with their unit written out: a household that measures otherwise would read the
 * wrong one. `core/words/measure.ts` says quantities; what stands here is said by it, or is an input's own unit.
 */
const BY_HAND = /\}\s?(L|°C|psu|dKH|cm|kg|litres|gal)(?![A-Za-z/²])/

/** Refusals of operations name the contract's units (put into the household's by refusalInUnits); drawings name paths. */
const CONTRACT =
  /^core\/(volume|salinity|acclimation\/(simulate|plan|ways|words)|words)\b|VolumeDrawing|core\/logline\/(reading|water)/

const sources = ['core', 'app']
  .flatMap((room) => readdirSync(join(ROOT, room), { recursive: true }).map((path) => `${room}/${String(path)}`))
  .filter((path) => /\.tsx?$/.test(path) && !/\.test\.|\.data\.ts$|\.schema\.ts$|generated\//.test(path))

test('no sentence writes a unit by hand that the household may measure otherwise', () => {
  expect(sources.length).toBeGreaterThan(200)
  const found = sources
    .filter((path) => !CONTRACT.test(path))
    .flatMap((path) =>
      readFileSync(join(ROOT, path), 'utf8')
        .split('\n')
        .flatMap((line, i) => (BY_HAND.test(line) ? [`${path}:${i + 1} ${line.trim()}`] : [])),
    )
  expect(found).toEqual([])
})

test('the test sees what it is to see', () => {
  expect('`${figures(litres)} L net`').toMatch(BY_HAND)
  expect('<b>{figures(litres)} L</b>').toMatch(BY_HAND)
  expect('`${amount} mg/L`').not.toMatch(BY_HAND)
})
