import { DEFINITIONS } from './core/catalogue/courses/all-definitions.ts'
import { Keeper } from './core/testing/keeper/life.ts'
import { TEMPERAMENTS } from './core/testing/keeper/temperaments.ts'
const START = Date.parse('2026-09-07T08:00:00Z')
const only = process.argv[2]
const temper = process.argv[3] ?? 'steady'
let total = 0
for (const d of DEFINITIONS) {
  if (only && only !== 'all' && d.id !== only) continue
  const t0 = performance.now()
  let life
  try { life = new Keeper(d, {}, (TEMPERAMENTS as any)[temper], 1, START).live() } catch (e) { console.log(d.id, 'THROWS', (e as Error).stack?.split('\n').slice(0,4).join(' | ')); continue }
  const ms = performance.now() - t0
  total += life.troubles.length
  const open = life.after?.tasks.filter(t => true).map(t => t.step) ?? []
  console.log(`${d.id}: ${life.closedAt ? 'closed day ' + Math.round((life.closedAt - START) / 864e5) : 'NEVER CLOSED'}; ${ms.toFixed(0)} ms; ${life.troubles.length} troubles; after: ${open.slice(0, 3)}; done ${[...life.done].map(([s, n]) => s + ' ' + n).join(', ')}`)
  const seen = new Map<string, number>()
  for (const t of life.troubles) { const k = t.law + ': ' + t.words.replace(/\/\d+\b/g, '/N').replace(/\d{4}-\d\d-\d\dT\S+/, 'T').replace(/e\d{4}/g,'E').slice(0, 170); seen.set(k, (seen.get(k) ?? 0) + 1) }
  for (const [k, n] of [...seen].slice(0, 6)) if(k.length) console.log(`     ${n}× ${k}`)
}
console.log(total)
