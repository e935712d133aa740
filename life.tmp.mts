import './core/catalogue/courses/all-definitions.ts'
import { definitionOf, Keeper } from './core/testing/keeper/life.ts'
import { TEMPERAMENTS } from './core/testing/keeper/temperaments.ts'
const START = Date.parse('2026-09-07T08:00:00Z')
const k = new Keeper(definitionOf(process.argv[2]!), {}, TEMPERAMENTS.steady, 1, START)
k.start()
const h = Number(process.argv[3] ?? 0)
console.log(JSON.stringify(k.plan(START + h*36e5, 10).tasks.slice(0,6).map(t => ({ id: t.id, state: t.state, act: t.act, waits: t.waitsFor, nb: new Date(t.notBefore).toISOString(), best: new Date(t.best).toISOString(), na: new Date(t.notAfter).toISOString() })), null, 1))
console.log(k.diary.map(d=>d.words).filter(w=>/start|!/.test(w)).join('\n'))
