import { DEFINITIONS } from './core/catalogue/courses/all-definitions.ts'
import { liveCourse } from './core/testing/keeper/life.ts'
const only = process.argv[2]
const temper = process.argv[3] ?? 'steady'
let total = 0
for (const d of DEFINITIONS) {
  if (only && only !== 'all' && d.id !== only) continue
  const variants: Record<string,string>[] = [{}]
  if (process.argv[4] === 'options') { variants.length = 0; for (const o of d.options) for (const c of o.choices.slice(1)) variants.push({ [o.id]: c.id }) }
  for (const options of variants) {
  const t0 = performance.now()
  let life
  try { life = liveCourse(d.id, temper as any, { options }) } catch (e) { console.log(d.id, 'THROWS', (e as Error).stack?.split('\n').slice(0,4).join(' | ')); continue }
  const ms = performance.now() - t0
  total += life.troubles.length
  const open = life.after?.tasks.map(t => t.step) ?? []
  console.log(`${d.id} ${JSON.stringify(options)}: ${life.closedAt ? 'closed day ' + Math.round((life.closedAt - life.startedAt) / 864e5) : 'NEVER CLOSED'}; ${ms.toFixed(0)} ms; ${life.troubles.length} troubles; after: ${open.slice(0, 3)}; done ${[...life.done].map(([s, n]) => s + ' ' + n).join(', ')}`)
  const seen = new Map<string, number>()
  for (const t of life.troubles) { const k = t.law + ': ' + t.words.replace(/\/\d+\b/g, '/N').replace(/\d{4}-\d\d-\d\dT\S+/, 'T').replace(/e\d{4}/g,'E').slice(0, 170); seen.set(k, (seen.get(k) ?? 0) + 1) }
  for (const [k, n] of [...seen].slice(0, 6)) console.log(`     ${n}× ${k}`)
  }
}
console.log(total)
