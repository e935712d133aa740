import type { Journal } from '../../journal/journal.ts'
import { concernsOf, type Concern } from '../../safety/concerns.ts'
import { concernWords } from '../../safety/guard.ts'
import { iso } from '../../time/zone.ts'
import { capital } from '../../words/numbers.ts'
import type { RunStarted } from '../run/start.ts'

/** What the water speaks against some animals that are to come into it. */
export interface NewcomerConcern {
  severity: Concern['severity']
  words: string
}

/**
 * What is in the water of a tank that animals on their way to it do not tolerate or must not meet: asked while the way is
 * planned, before the bag is opened.
 * @param animals as the run would keep them
 * @param now ms
 * @returns each sentence once, the gravest first
 */
export function newcomerWaterConcerns(
  journal: Journal,
  tankId: string,
  animals: RunStarted['animals'],
  now: number,
): NewcomerConcern[] {
  const found = animals.flatMap(({ animalId, species, group, count, name }) => {
    const content = {
      kind: 'arrival' as const,
      happened: iso(now),
      animalId,
      tankId,
      species,
      group,
      count,
      ...(name !== undefined && { name }),
    }
    const who = name ?? species
    return concernsOf(journal, content, { now }).map((concern) => {
      const words = concernWords(journal, content, concern)
      // A note is about the water, whoever comes into it.
      const isNamed = concern.severity === 'note' || words.toLowerCase().includes(who.toLowerCase())
      return { severity: concern.severity, words: isNamed ? words : `${capital(who)}: ${words}` }
    })
  })
  const once = [...new Map(found.map((one) => [one.words, one])).values()]
  return once.sort((a, b) => RANK.indexOf(a.severity) - RANK.indexOf(b.severity))
}

const RANK: readonly Concern['severity'][] = ['never', 'block', 'ask', 'caution', 'note']
