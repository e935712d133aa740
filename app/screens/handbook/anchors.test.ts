import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { CHAPTERS, rowId } from '../../../core/catalogue/handbook/chapters.ts'
import { DOSES } from '../../../core/catalogue/treatments/doses.data.ts'
import { INTERACTIONS } from '../../../core/catalogue/treatments/interactions.data.ts'

const APP = join(__dirname, '../..')

/** Every place a link to the handbook can lead to: chapters, tables and rows. */
async function places(): Promise<Set<string>> {
  const all = new Set<string>()
  for (const { id, load } of CHAPTERS) {
    all.add(id)
    for (const table of await load()) {
      all.add(`${id}#${table.id}`)
      table.rows.forEach((row, i) => all.add(`${id}#${rowId(row, i)}`))
    }
  }
  return all
}

test('every link to the handbook leads to something', async () => {
  const known = await places()
  const links = readdirSync(APP, { recursive: true })
    .map(String)
    .filter((path) => path.endsWith('.tsx') && !path.includes('.test.'))
    .flatMap((path) =>
      [...readFileSync(join(APP, path), 'utf8').matchAll(/HandbookLink to=(?:"([^"]+)"|\{`([^`]+)`\})/g)].map(
        ([, plain, template]) => plain ?? template!,
      ),
    )
  expect(links.length).toBeGreaterThan(8)
  for (const link of links) {
    if (!link.includes('${')) expect(known).toContain(link)
    else expect(known).toContain(link.slice(0, link.indexOf('#')))
  }
  for (const { id } of DOSES) expect(known).toContain(`doses#${id}`)
  for (const { id } of INTERACTIONS) expect(known).toContain(`interactions#${id}`)
})
