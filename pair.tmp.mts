import { livePair } from '/work/main/core/testing/keeper/pair.ts'
import { liveCourse } from '/work/main/core/testing/keeper/life.ts'
import { standingOf } from '/work/main/core/courses/standing/standing.ts'
import { KEEPER_SETTINGS } from '/work/main/core/testing/keeper/household.ts'
const [a,b,d,o] = process.argv.slice(2)
const p = livePair(a!,b!,Number(d), o? JSON.parse(o): undefined)
for (const t of p.troubles.slice(0,40)) console.log(new Date(t.at).toISOString(), t.law, t.words.slice(0,300))
for (const l of [p.first,p.second]) {
  const lone = liveCourse(l.definitionId,'steady')
  console.log(l.definitionId, l.closedAt && new Date(l.closedAt).toISOString(), l.atClose ? standingOf(p.journal,l.atClose.course,KEEPER_SETTINGS,l.closedAt!).counts.map(c=>`${c.track} ${c.has}/${c.needs} ${c.state}`).join('; '):'' )
  for (const s of new Set([...l.done.keys(),...lone.done.keys()])) if (l.done.get(s)!==lone.done.get(s)) console.log('   ', s, l.done.get(s), 'alone', lone.done.get(s))
}
if (process.env.DIARY) for (const x of p.diary) console.log(new Date(x.at).toISOString(), x.words)
