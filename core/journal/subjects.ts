import type { Content, ContentKind } from './entry.ts'

/**
 * What an entry is about. The journal keeps a time-ordered list a subject, so that a question reads only the entries that
 * bear on it, however long the journal.
 */
export type Subject =
  | `kind:${ContentKind}`
  | `tank:${string}`
  | `tank-definition:${string}`
  | `readings:${string}:${string}`
  | `water:${string}`
  | `animal:${string}`
  /** Only what an animal's whereabouts and number follow from: few lines, however often it was seen. */
  | `life:${string}`
  | `product:${string}`
  | `kit:${string}`
  | `expected:${string}`
  | `course:${string}`
  | `task:${string}`
  | `part:${string}`
  | `gear:${string}`
  | `bench:${string}`
  | `chore:${string}`
  | `run:${string}`
  | `introduction:${string}`
  | `case:${string}`
  | `device:${string}`
  /** Pictures that belong to an entry. */
  | `pictures:${string}`

/** The tanks an entry belongs to in the ledger: two for a move, none for the shelf and the household. */
export function tanksOf(content: Content): string[] {
  switch (content.kind) {
    case 'move':
      return content.fromTankId === content.toTankId ? [content.toTankId] : [content.fromTankId, content.toTankId]
    case 'course-start':
      return [
        ...new Set([...(content.tankId === undefined ? [] : [content.tankId]), ...Object.values(content.tanks ?? {})]),
      ]
    case 'contact':
      return [content.tankId]
    case 'household':
    case 'product-setup':
    case 'product-change':
    case 'animal-change':
      return []
    default:
      return 'tankId' in content && content.tankId !== undefined ? [content.tankId] : []
  }
}

/** Every subject an entry is about. */
export function subjectsOf(content: Content): Subject[] {
  const subjects: Subject[] = [`kind:${content.kind}`, ...tanksOf(content).map((tank): Subject => `tank:${tank}`)]
  switch (content.kind) {
    case 'tank-setup':
    case 'tank-change':
      subjects.push(`tank-definition:${content.tankId}`)
      break
    case 'reading':
      subjects.push(`readings:${content.tankId}:${content.parameter}`)
      break
    case 'water-change':
    case 'dose':
    case 'top-off':
      subjects.push(`water:${content.tankId}`)
      break
    case 'bath':
      subjects.push(
        ...content.animalIds.map((animal): Subject => `animal:${animal}`),
        ...(content.partIds ?? []).map((part): Subject => `part:${part}`),
      )
      break
    case 'feed':
      subjects.push(...(content.animalIds ?? []).map((animal): Subject => `animal:${animal}`))
      break
    case 'part-setup':
    case 'part-change':
      subjects.push(`part:${content.partId}`)
      break
    case 'gear-setup':
    case 'gear-change':
      subjects.push(`gear:${content.gearId}`)
      break
    case 'gear-clean':
      if (content.gearId !== undefined) subjects.push(`gear:${content.gearId}`)
      break
    case 'bench-start':
    case 'bench-mark':
    case 'bench-end':
      subjects.push(`bench:${content.benchId}`)
      break
    case 'chore':
      subjects.push(`chore:${content.choreId}`)
      break
    case 'arrival':
    case 'animal-change':
    case 'death':
    case 'departure':
      subjects.push(`animal:${content.animalId}`, `life:${content.animalId}`)
      break
    case 'move':
      subjects.push(`animal:${content.animalId}`, `life:${content.animalId}`)
      if (content.newAnimalId !== undefined)
        subjects.push(`animal:${content.newAnimalId}`, `life:${content.newAnimalId}`)
      break
    case 'sighting':
      subjects.push(...content.animalIds.map((animal): Subject => `animal:${animal}`))
      break
    case 'note':
      subjects.push(...(content.animalIds ?? []).map((animal): Subject => `animal:${animal}`))
      break
    case 'product-setup':
    case 'product-change':
      subjects.push(`product:${content.productId}`)
      break
    case 'kit-setup':
    case 'kit-change':
      subjects.push(`kit:${content.kitId}`)
      break
    case 'expected':
      subjects.push(`expected:${content.expectedId}`)
      break
    case 'task':
      subjects.push(`task:${content.taskId}`)
      break
    case 'acclimation-start':
      subjects.push(`run:${content.runId}`, ...content.animals.map(({ animalId }): Subject => `animal:${animalId}`))
      break
    case 'acclimation-event':
    case 'acclimation-end':
      subjects.push(`run:${content.runId}`)
      break
    case 'dead-on-arrival':
      subjects.push(`expected:${content.expectedId}`, `animal:${content.expectedId}`)
      break
    case 'photo':
      subjects.push(...(content.animalIds ?? []).map((animal): Subject => `animal:${animal}`))
      if (content.about !== undefined) subjects.push(`pictures:${content.about}`)
      break
    case 'introduction-start':
      subjects.push(
        `introduction:${content.introId}`,
        ...[...content.animalIds, ...(content.rivalIds ?? [])].map((animal): Subject => `animal:${animal}`),
      )
      break
    case 'introduction-mark':
    case 'introduction-end':
      subjects.push(`introduction:${content.introId}`)
      break
    case 'skirmish':
      subjects.push(
        ...[content.byId, content.onId].flatMap((animal): Subject[] => (animal ? [`animal:${animal}`] : [])),
      )
      if (content.introId !== undefined) subjects.push(`introduction:${content.introId}`)
      break
    case 'case-start':
      subjects.push(`case:${content.caseId}`, ...content.animalIds.map((animal): Subject => `animal:${animal}`))
      break
    case 'case-mark':
    case 'case-end':
      subjects.push(`case:${content.caseId}`)
      break
    case 'tally':
      if (content.caseId !== undefined) subjects.push(`case:${content.caseId}`)
      break
    case 'clip':
      if (content.about !== undefined) subjects.push(`pictures:${content.about}`)
      break
    case 'device':
    case 'pump-plan':
      subjects.push(`device:${content.deviceId}`)
      break
    case 'training':
      subjects.push(...content.animalIds.map((animal): Subject => `animal:${animal}`))
      break
    case 'household':
    case 'equipment':
    case 'count':
    case 'contact':
    case 'new-water':
    case 'away':
    case 'course-mark':
    case 'course-start':
    case 'course-change':
    case 'course-event':
    case 'course-end':
    case 'lab-result':
    case 'csv-columns':
      break
  }
  if ((content.kind === 'dose' || content.kind === 'bath') && content.productId !== undefined)
    subjects.push(`product:${content.productId}`)
  if ('courseId' in content && content.courseId !== undefined) subjects.push(`course:${content.courseId}`)
  return [...new Set(subjects)]
}
