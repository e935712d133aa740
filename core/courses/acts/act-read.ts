import type { Content } from '../../journal/entry.ts'

/** What is wrong with an answer, by field. */
export type ActProblems = Readonly<Record<string, { message: string }>>

/** What a task's button keeps, or what is still missing. */
export type ActRead = { contents: Content[] } | { problems: ActProblems }

/** The contents of an answer; none where something is missing. */
export const contentsRead = (read: ActRead): Content[] => ('contents' in read ? read.contents : [])
