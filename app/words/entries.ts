import { animalGroupById } from '../../core/catalogue/animal-group.ts'

import { parameterById } from '../../core/catalogue/parameter.ts'
import { WAY_NAMES } from '../../core/arrivals/run/step-words.ts'
import { animalById, animalLabel } from '../../core/household/animals.ts'
import type { Settings } from '../../core/household/settings.ts'
import { startInWords } from '../../core/courses/course.ts'
import { courseName } from '../../core/courses/names.ts'
import { animalName, doseName, newcomerName, tankName } from './names.ts'
import { deviceMarks } from './device-entries.ts'
import { caseMarks } from './case-entries.ts'
import { careMarks, partName } from './care-entries.ts'
import { plain, strong, type Mark, type Wording } from './marks.ts'
import { taskTitle } from '../../core/schedule/task-name.ts'
import { productById } from '../../core/household/shelf.ts'

import type { Content, ContentOf } from '../../core/journal/entry.ts'

import type { Journal } from '../../core/journal/journal.ts'
import { measureText } from '../../core/words/measure.ts'
import { figures, listed } from '../../core/words/numbers.ts'
import { APPETITE, sightingMarks } from './sightings.ts'
import {
  changeVolume,
  parameterValue,
  parameterWidth,
  quantityText,
  readingResult,
} from '../../core/words/quantities.ts'

/** What the new water of a change held: ", new water at 2.25 mg/L copper". */
function newWaterMarks({ replacement }: ContentOf<'water-change'>, { units }: Wording): Mark[] {
  const held = [
    ...(replacement?.copperMgPerL === undefined
      ? []
      : [`${quantityText(parameterValue('copper', replacement.copperMgPerL, units))} copper`]),
    ...(replacement?.salinityPsu === undefined
      ? []
      : [quantityText(parameterValue('salinity', replacement.salinityPsu, units))]),
    ...(replacement?.temperatureC === undefined
      ? []
      : [quantityText(parameterValue('temp', replacement.temperatureC, units))]),
  ]
  return held.length === 0 ? [] : [plain(`, new water at ${held.join(', ')}`)]
}

export type { Mark, Wording } from './marks.ts'
export { animalName, doseName, newcomerName, tankName } from './names.ts'
export { CONTACT_WORDS, partName } from './care-entries.ts'

export const wordingOf = (journal: Journal, settings: Settings): Wording => ({ journal, units: settings.units })

export const marksText = (marks: readonly Mark[]): string => marks.map(({ text }) => text).join('')

export const EQUIPMENT_NAMES: Record<ContentOf<'equipment'>['item'], string> = {
  carbon: 'carbon',
  uv: 'UV',
  ozone: 'ozone',
  skimmer: 'skimmer',
  'auto-top-off': 'auto top-off',
  flow: 'flow pump',
  heater: 'heater',
  air: 'air',
  light: 'light',
  resin: 'metal resin',
  'dosing-pump': 'dosing pump',
  co2: 'CO2',
  'ammonia-binder': 'ammonia binder',
  cover: 'cover',
  filter: 'filter',
  'phosphate-remover': 'phosphate remover',
  zeolite: 'zeolite',
}
const TASK_STATES: Record<ContentOf<'task'>['state'], string> = {
  done: 'done',
  skipped: 'skipped',
  postponed: 'put off',
}
const COUNT_NAMES: Record<NonNullable<ContentOf<'count'>['what'] | ContentOf<'count'>['measure']>, string> = {
  'dip-count': 'came off',
  'patch-stage': 'patch stages',
  cells: 'cells',
  coverage: 'coverage %',
  jar: 'jar, alive',
  'pest-count': 'counted',
  'came-off': 'came off',
  eggs: 'eggs',
  brushed: 'edges brushed',
  alive: 'alive',
  'diatom-share': 'diatom share',
  removed: 'removed',
  left: 'left',
  'edge-mm': 'edge, mm',
  survey: 'survey',
  polyps: 'polyps',
  colour: 'colour',
  'head-count': 'head count',
  'visibility-cm': 'visibility, cm',
  'wet-g': 'wet weight, g',
}

const COURSE_EVENTS: Record<ContentOf<'course-event'>['event'], string> = {
  'carbon-left-in': 'carbon was left in',
  'new-fish-added': 'a new fish came into the water',
  'cross-contamination': 'something wet from an unclean system touched the water',
  'sign-seen': 'a sign was seen',
  'unexplained-death': 'a death without a cause',
}

/** What a course that begins is called. */
function startName(start: ContentOf<'course-start'>): string {
  const { definition, doseId } = startInWords(start)
  return courseName(definition, doseId)
}

const INTRODUCTION_NAMES: Record<ContentOf<'introduction-start'>['way'], string> = {
  box: 'into the acclimation box',
  neutral: 'neutral tank first',
  pair: 'added together',
}
export const SKIRMISH_WORDS: Record<ContentOf<'skirmish'>['what'], string> = {
  display: 'showed off at',
  chase: 'chased',
  nick: 'nicked a fin of',
  bite: 'bit',
  pinned: 'pinned',
  rammed: 'rammed the box of',
  'fins-torn': 'tore fins of',
  'singled-out': 'singled out',
}

function introductionMarkWords(mark: ContentOf<'introduction-mark'>, journal: Journal): string {
  const start = journal
    .about(`introduction:${mark.introId}`)
    .find(({ content }) => content.kind === 'introduction-start')?.content as
    ContentOf<'introduction-start'> | undefined
  const why = mark.why ? `: ${mark.why}` : ''
  if (mark.mark === 'condition') {
    const words = start?.conditions.find(({ id }) => id === mark.conditionId)?.words ?? 'a condition'
    return `${mark.holds === false ? 'not yet: ' : 'true now: '}${words}`
  }
  return { opened: 'the door is open', shut: 'the door is shut again', home: 'moved home together' }[mark.mark] + why
}

function eventMarks(event: ContentOf<'acclimation-event'>, { units }: Wording): Mark[] {
  switch (event.event) {
    case 'opened':
      return [plain('bag opened')]
    case 'scoop':
      return [plain('scoop '), strong(`${figures((event.litres ?? 0) * 1000)} mL`)]
    case 'pour-off':
      return [plain('poured off to '), strong(measureText(event.litres ?? 0, 'L', units, 3))]
    case 'drip':
      return event.mlPerMinute === 0
        ? [plain('drip off')]
        : [plain('drip '), strong(`${figures(event.mlPerMinute ?? 0)} mL a minute`)]
    case 'way':
      return [plain('another way: '), strong(event.way ? WAY_NAMES[event.way].toLowerCase() : '')]
    case 'step':
      return [plain(`done: ${(event.step ?? '').replaceAll('-', ' ')}`)]
    case 'measured': {
      const told = (
        [
          ['salinity', event.salinityPsu],
          ['temp', event.temperatureC],
          ['ph', event.pH],
          ['tan', event.tanMgPerL],
        ] as const
      ).flatMap(([parameter, value]) =>
        value === undefined
          ? []
          : [`${parameterById(parameter)!.short} ${quantityText(parameterValue(parameter, value, units))}`],
      )
      return [plain('in the container '), strong(told.join(', '))]
    }
  }
}

/** A content as a short mark in a line of the ledger; `tankId` is the column it stands in. */
export function contentMarks(content: Content, wording: Wording, tankId?: string): Mark[] {
  const { journal, units } = wording
  switch (content.kind) {
    case 'reading': {
      const parameter = parameterById(content.parameter)
      return [
        plain(`${parameter?.short ?? content.parameter} `),
        strong(readingResult(content, units).value),
        ...(content.downL === undefined
          ? []
          : [plain(`, with ${measureText(content.downL, 'L', units, 2)} evaporated`)]),
      ]
    }
    case 'water-change':
      return [
        plain('change '),
        strong(quantityText(changeVolume(content.litres, units))),
        ...newWaterMarks(content, wording),
      ]
    case 'dose':
      return [
        plain('dose '),
        strong(`${figures(content.amount)} ${content.unit}`),
        plain(` ${doseName(journal, content)}`),
      ]
    case 'sighting':
      return sightingMarks(content, wording)
    case 'arrival':
      return [strong(newcomerName(content)), plain(' arrived')]
    case 'move': {
      const who = animalName(journal, content.animalId)
      const part = content.count === undefined ? who : `${content.count} of ${who}`
      if (tankId === content.toTankId) return [strong(part), plain(` in from ${tankName(journal, content.fromTankId)}`)]
      return [strong(part), plain(` → ${tankName(journal, content.toTankId)}`)]
    }
    case 'death':
      return [
        { text: '✕ ', tone: 'act' },
        strong(deathWho(content, journal)),
        plain(content.cause ? ` died, ${content.cause}` : ' died'),
      ]
    case 'departure':
      return [strong(animalName(journal, content.animalId)), plain(content.to ? ` left, to ${content.to}` : ' left')]
    case 'note':
      return [plain(content.text)]
    case 'count':
      return [
        plain(`${content.of ?? COUNT_NAMES[content.measure ?? content.what ?? 'pest-count']} `),
        strong(
          content.parts
            ? content.parts.map(({ partId, value }) => `${partName(journal, partId)} ${figures(value)}`).join(', ')
            : (content.values ?? []).map((value) => figures(value)).join(' '),
        ),
      ]
    case 'bath':
    case 'feed':
    case 'top-off':
    case 'contact':
    case 'new-water':
    case 'part-setup':
    case 'part-change':
    case 'gear-setup':
    case 'gear-change':
    case 'gear-clean':
    case 'bench-start':
    case 'bench-mark':
    case 'bench-end':
    case 'away':
    case 'chore':
    case 'course-mark':
      return careMarks(content, wording)
    case 'equipment':
      return [
        plain(`${EQUIPMENT_NAMES[content.item]} `),
        strong(content.removed ? 'taken out' : content.running ? 'on' : 'off'),
      ]
    case 'tank-setup':
      return [plain('set up')]
    case 'tank-change':
      return [
        plain(content.changes.retired ? 'taken down' : content.changes.sheet ? 'volume sheet changed' : 'tank changed'),
      ]
    case 'task':
      return [
        plain(
          [
            `${TASK_STATES[content.state]}: ${taskTitle(journal, content.taskId) ?? 'a task'}`,
            ...(content.why ? [content.why] : []),
          ].join(', '),
        ),
      ]
    case 'expected':
      return [plain(`${content.cancelled ? 'no longer expected: ' : 'expected: '}${content.name ?? content.species}`)]
    case 'kit-setup':
    case 'kit-change':
      return [plain(`kit ${content.kind === 'kit-setup' ? content.name : 'changed'}`)]
    case 'product-setup':
    case 'product-change':
      return [
        plain(
          `shelf: ${content.kind === 'product-setup' ? content.name : (productById(journal, content.productId)?.name ?? 'product')}`,
        ),
      ]
    case 'animal-change':
      return [plain(`${animalName(journal, content.animalId)} described again`)]
    case 'dead-on-arrival':
      return [{ text: '✕ ', tone: 'act' }, strong(newcomerName(content)), plain(' dead on arrival')]
    case 'acclimation-start':
      return [plain('float begins: '), strong(listed(content.animals.map(newcomerName)))]
    case 'acclimation-event':
      return eventMarks(content, wording)
    case 'acclimation-end':
      return content.outcome === 'released'
        ? [
            strong('across'),
            plain(content.measured ? ', measured within reach' : ', by reckoning'),
            plain(content.off ? `; still off: ${content.off}` : ''),
          ]
        : [plain(`acclimation stopped${content.why ? `: ${content.why}` : ''}`)]
    case 'photo':
      return [
        plain('photo'),
        plain(content.animalIds?.length ? ` of ${listed(content.animalIds.map((id) => animalName(journal, id)))}` : ''),
        plain(content.caption ? `: ${content.caption}` : ''),
      ]
    case 'introduction-start':
      return [
        plain(`${INTRODUCTION_NAMES[content.way]}: `),
        strong(listed(content.animalIds.map((id) => animalName(journal, id)))),
        plain(content.rivalIds?.length ? ` and ${listed(content.rivalIds.map((id) => animalName(journal, id)))}` : ''),
      ]
    case 'introduction-mark':
      return [plain(introductionMarkWords(content, journal))]
    case 'introduction-end':
      return [plain('introduction '), strong(content.outcome), plain(content.why ? `: ${content.why}` : '')]
    case 'skirmish':
      return [
        strong(content.byId === undefined ? 'a resident' : animalName(journal, content.byId)),
        plain(
          content.onId === undefined
            ? ` ${SKIRMISH_WORDS[content.what].replace(/ (of|at)$/, '')}`
            : ` ${SKIRMISH_WORDS[content.what]} ${animalName(journal, content.onId)}`,
        ),
        plain(content.perHour === undefined ? '' : `, ${figures(content.perHour)} an hour`),
        plain(content.minutes === undefined ? '' : `, ${figures(content.minutes)} min`),
      ]
    case 'training':
      return [
        strong(listed(content.animalIds.map((id) => animalName(journal, id)))),
        plain(` ${APPETITE[content.mark]!.replace('food', content.food)}`),
        plain(content.mark >= 3 ? ` ${content.food}` : ''),
        plain(content.place ? `, ${content.place}` : ''),
      ]
    case 'case-start':
    case 'case-mark':
    case 'case-end':
    case 'tally':
      return caseMarks(content)
    case 'clip':
      return [plain('clip'), plain(content.caption ? `: ${content.caption}` : '')]
    case 'lab-result':
    case 'csv-columns':
    case 'device':
    case 'pump-plan':
      return deviceMarks(journal, content)
    case 'household':
      return [plain('household settings')]
    case 'course-start':
      return [plain(`${startName(content)} `), strong('begins')]
    case 'course-change':
      return [plain('course changed')]
    case 'course-event':
      return [plain(COURSE_EVENTS[content.event])]
    case 'course-end':
      return [plain('course '), strong(content.outcome), plain(content.why ? `: ${content.why}` : '')]
  }
}

function deathWho({ animalId, count }: ContentOf<'death'>, journal: Journal): string {
  const animal = animalById(journal, animalId)
  if (!animal) return 'an animal not on record'
  return animal.firstCount > 1 ? `${count ?? 1} ${animal.name ?? animal.species}` : animalLabel(animal)
}

/** What the log line reads back: who and what will be kept, in full. */
export function contentReadBack(content: Content, wording: Wording): Mark[] {
  const { journal, units } = wording
  const where = 'tankId' in content && content.tankId !== undefined ? tankName(journal, content.tankId) : null
  if (content.kind === 'reading') {
    const result = readingResult(content, units)
    const width =
      content.uncertainty === undefined || content.result.kind !== 'value'
        ? ''
        : ` ± ${parameterWidth(content.parameter, content.result.value, content.uncertainty, units)}`
    return [
      strong(where!),
      plain(`, ${parameterById(content.parameter)?.name ?? content.parameter} `),
      strong(quantityText(result)),
      plain(`${width}${content.basis ? ` as ${content.basis}` : ''}`),
    ]
  }
  if (
    content.kind === 'water-change' ||
    content.kind === 'dose' ||
    content.kind === 'count' ||
    content.kind === 'bath' ||
    content.kind === 'feed' ||
    content.kind === 'top-off' ||
    content.kind === 'contact'
  )
    return [strong(where!), plain(', '), ...contentMarks(content, wording)]
  if (content.kind === 'note') {
    const about = content.animalIds?.length ? listed(content.animalIds.map((id) => animalName(journal, id))) : where
    return [plain('a note'), ...(about ? [plain(' on '), strong(about)] : []), plain(`: ${content.text}`)]
  }
  return contentMarks(content, wording)
}

/** "marine fish", "9 ember tetras": a resident in a few words with its group. */
export const groupName = (groupId: string): string => animalGroupById(groupId)?.name ?? groupId
