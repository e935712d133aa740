import { useMemo } from 'react'
import { countEffects, type CountEffect } from '../../core/courses/outlook/count-effects.ts'
import type { Content } from '../../core/journal/entry.ts'
import { dayAs } from '../../core/time/words.ts'
import type { ZoneClock } from '../../core/time/zone.ts'
import { useHousehold } from '../journal/provider.tsx'
import { Rows, Small } from '../look/text.ts'

/** "23 days → 0 days; full 12 February, not 21 January". */
function effectWords({ unit, before, after }: CountEffect, clock: ZoneClock): string {
  const has = (value: number) => (unit === 'h' ? `${Math.floor(value / 24)} days` : `${value}`)
  const day = (at: number) => dayAs(clock.dayOf(at), 'd MMMM')
  const full =
    after.fullAt === null
      ? 'nobody can say when it is full'
      : `full ${day(after.fullAt)}${before.fullAt !== null && day(before.fullAt) !== day(after.fullAt) ? `, not ${day(before.fullAt)}` : ''}`
  return `${has(before.has)} → ${has(after.has)}; ${full}`
}

/** What something would do to every count that it touches, before it is kept. */
export function CountEffects({ content, now }: { content: Content; now: number }) {
  const { journal, settings } = useHousehold()
  // Minutes do not change what it costs.
  const minute = Math.floor(now / 60_000) * 60_000
  const key = JSON.stringify({ ...content, happened: '' })
  const effects = useMemo(
    () => countEffects(journal, [content], settings, Math.max(minute, Date.parse(content.happened))),
    // The content is told by its words: its time moves with the clock.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [journal, settings, key, minute],
  )
  if (effects.length === 0) return <Small>No count of a running course is set back by it.</Small>
  return (
    <div>
      <Small>It sets back:</Small>
      <Rows>
        {effects.map((effect) => (
          <li key={`${effect.courseId} ${effect.count}`}>
            <strong>{effect.course}</strong>, {effect.count}
            <br />
            <span style={{ color: 'var(--act)' }}>{effectWords(effect, settings.clock)}</span>
          </li>
        ))}
      </Rows>
    </div>
  )
}
