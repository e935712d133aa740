import { ingredientById } from '../../core/catalogue/ingredient.ts'
import { partById } from '../../core/household/parts.ts'
import type { Content, ContentOf } from '../../core/journal/entry.ts'
import type { Journal } from '../../core/journal/journal.ts'
import { measureText } from '../../core/words/measure.ts'
import { figures, listed } from '../../core/words/numbers.ts'
import { parameterValue, quantityText } from '../../core/words/quantities.ts'
import { plain, strong, type Mark, type Wording } from './marks.ts'
import { animalName, doseName, tankName } from './names.ts'

export const CONTACT_WORDS: Record<ContentOf<'contact'>['what'], string> = {
  fish: 'a fish',
  water: 'water',
  tool: 'a wet tool',
  hand: 'a wet hand',
  snail: 'a snail',
  plug: 'a plug or rock',
  media: 'filter media or a sponge',
  suspect: 'something suspect',
}

export const partName = (journal: Journal, id: string): string => partById(journal, id)?.name ?? id

/** Kinds of entries that are told here: what is done beside dosing, testing and looking. */
type CareKind =
  | 'bath'
  | 'feed'
  | 'top-off'
  | 'contact'
  | 'new-water'
  | 'part-setup'
  | 'part-change'
  | 'gear-setup'
  | 'gear-change'
  | 'gear-clean'
  | 'bench-start'
  | 'bench-mark'
  | 'bench-end'
  | 'away'
  | 'chore'
  | 'course-mark'

/** Baths, food, top-offs, contacts, parts, tools, the bench, days away and chores as short marks. */
export function careMarks(content: Extract<Content, { kind: CareKind }>, { journal, units }: Wording): Mark[] {
  switch (content.kind) {
    case 'bath': {
      const who = [
        ...content.animalIds.map((id) => animalName(journal, id)),
        ...(content.partIds ?? []).map((id) => partName(journal, id)),
      ]
      return [
        plain(who.length > 0 ? `${listed(who)}: bath ` : 'bath '),
        strong(`${figures(content.amount)} ${content.unit}`),
        plain(
          ` ${doseName(journal, content)} in ${measureText(content.litres, 'L', units, 3)}, ${figures(content.minutes)} min`,
        ),
        ...(content.stopped === undefined ? [] : [plain(`, ended early: ${content.stopped}`)]),
      ]
    }
    case 'feed':
      return [
        plain('fed '),
        strong(`${figures(content.foodG)} g`),
        plain(
          content.ingredient === undefined
            ? ''
            : ` with ${ingredientById(content.ingredient)?.name ?? content.ingredient}${
                content.mgPerG === undefined ? '' : `, ${figures(content.mgPerG)} mg/g`
              }`,
        ),
      ]
    case 'top-off':
      return [
        plain('top-off '),
        strong(measureText(content.litres, 'L', units, 3)),
        plain(
          content.salinityPsu === undefined || content.salinityPsu === 0
            ? ''
            : `, ${quantityText(parameterValue('salinity', content.salinityPsu, units))}`,
        ),
      ]
    case 'contact':
      return [
        plain(
          `${content.what === 'suspect' ? 'holds' : 'touched by'} ${CONTACT_WORDS[content.what]}${
            content.from === undefined
              ? content.what === 'suspect'
                ? ''
                : ' of another system'
              : ` of ${tankName(journal, content.from)}`
          }`,
        ),
      ]
    case 'new-water':
      return [
        plain('new water mixed: '),
        strong(measureText(content.litres, 'L', units, 3)),
        plain(
          content.salinityPsu === undefined
            ? ''
            : `, ${quantityText(parameterValue('salinity', content.salinityPsu, units))}`,
        ),
      ]
    case 'part-setup':
      return [plain(`${content.what}: `), strong(content.name), plain(content.control ? ', left untreated' : '')]
    case 'part-change':
      return [plain(`${partName(journal, content.partId)} changed`)]
    case 'gear-setup':
      return [plain(`tool: ${content.name}`)]
    case 'gear-change':
      return [plain('a tool changed')]
    case 'gear-clean':
      return [plain(`${content.gearId === undefined ? 'the set' : 'a tool'} made sterile: ${content.how}`)]
    case 'bench-start':
      return [plain(`at the bench: ${content.procedure.replaceAll('-', ' ')}`)]
    case 'bench-mark':
      return [plain(`bench, ${content.step.replaceAll('-', ' ')}: ${content.state}`)]
    case 'bench-end':
      return [plain('bench '), strong(content.outcome), plain(content.why ? `: ${content.why}` : '')]
    case 'away':
      return [plain('nobody at home')]
    case 'chore':
      return [
        plain(
          content.retired
            ? 'a chore is given up'
            : `chore: ${content.name ?? 'changed'}${content.everyDays ? `, every ${content.everyDays} days` : ''}`,
        ),
      ]
    case 'course-mark':
      return [plain('treatment ends'), plain(content.why ? `: ${content.why}` : '')]
  }
}
