import type { ContentOf } from '../journal/entry.ts'

/** How a lesion is against the look before. */
export type LesionChange = NonNullable<NonNullable<ContentOf<'sighting'>['lesion']>['change']>

/** The step of a course that looks at lesions. */
export const LESION_STEP = 'lesion'

/** A look in words: "8 mm, worse". */
export const lesionText = ({ mm, change }: { mm?: number | null; change?: LesionChange | null }): string =>
  [...(mm == null ? [] : [`${mm} mm`]), ...(change == null ? [] : [change === 'same' ? 'the same' : change])].join(', ')
