import { signLabel } from '../../core/catalogue/sign-label.ts'
import type { ContentOf } from '../../core/journal/entry.ts'
import { lesionText } from '../../core/watching/lesion-words.ts'
import { lookById } from '../../core/watching/short-looks.ts'
import { capital, figures, listed, plural } from '../../core/words/numbers.ts'
import { plain, type Mark, type Wording } from './marks.ts'
import { animalName } from './names.ts'

export const APPETITE = ['ignored food', 'looked at food', 'spat food', 'ate', 'ate all']

/** What was seen of whom. */
export function sightingMarks(sighting: ContentOf<'sighting'>, { journal }: Wording): Mark[] {
  const who =
    sighting.animalIds.length === 0 ? '' : `${listed(sighting.animalIds.map((id) => animalName(journal, id)))} `
  const told: string[] = []
  if (sighting.seen !== undefined)
    told.push(!sighting.seen ? 'not seen' : sighting.seenCount === undefined ? 'seen' : `${sighting.seenCount} seen`)
  if (sighting.appetite !== undefined) told.push(APPETITE[sighting.appetite]!)
  for (const { sign, present } of sighting.signs) {
    // "not eating" and an appetite of nothing are one fact.
    if (sign === 'not-eating' && sighting.appetite === 0) continue
    // A short look says of each of its signs that it was looked for: only what was there is told.
    if (sighting.session === undefined || present) told.push(`${present ? '' : 'not: '}${signLabel(sign)}`)
  }
  if (sighting.flashes !== undefined) told.push(`${plural(sighting.flashes, 'scrape')} in five minutes`)
  if (sighting.faeces !== undefined) told.push(`faeces ${sighting.faeces}`)
  const look = sighting.session === undefined ? undefined : lookById(sighting.session)
  if (look) told.push(`${told.length === 0 ? 'nothing seen ' : ''}${look.name.toLowerCase()}`)
  if (sighting.breathsPerMinute !== undefined) told.push(`${figures(sighting.breathsPerMinute)} breaths a minute`)
  if (sighting.affected !== undefined) told.push(`${sighting.affected} of them`)
  if (sighting.lesion) told.push(`sore ${lesionText(sighting.lesion)}`)
  if (told.length === 0 && sighting.words !== undefined) told.push(sighting.words)
  return [
    plain(capital(who)),
    ...(told.length > 0 ? [plain(who ? listed(told, 'and') : capital(listed(told, 'and')))] : []),
  ]
}
