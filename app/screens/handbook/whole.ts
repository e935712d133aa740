import { agentsIn } from '../../../core/catalogue/treatments/groups.ts'
import { useQuery } from '@tanstack/react-query'
import { CHAPTERS, rowId, type Chapter, type HandbookTable } from '../../../core/catalogue/handbook/chapters.ts'

export interface LoadedChapter extends Omit<Chapter, 'load'> {
  tables: readonly HandbookTable[]
}

/** Chapters whose rows are referred to by id from others, the first to know an id says where it leads. */
const REFERRED = ['agents', 'doses', 'conditions', 'organisms', 'plans', 'parameters']

export interface Handbook {
  chapters: readonly LoadedChapter[]
  /** The address of what an id names; undefined for an id of nothing here. */
  where: (id: string) => string | undefined
}

/** Where a row stands. */
export const placeOf = (chapterId: string, id: string): string => `/handbook/${chapterId}#${id}`

async function loadAll(): Promise<Handbook> {
  const chapters = await Promise.all(
    CHAPTERS.map(async ({ load, ...chapter }): Promise<LoadedChapter> => ({ ...chapter, tables: await load() })),
  )
  const places = new Map<string, string>()
  for (const name of REFERRED)
    for (const table of chapters.find(({ id }) => id === name)?.tables ?? [])
      table.rows.forEach((row, i) => {
        const id = rowId(row, i)
        if (!places.has(id)) places.set(id, placeOf(name, id))
      })
  // A group of agents leads to the first of it.
  const first = (id: string) => agentsIn(id)[0] ?? id
  return { chapters, where: (id) => places.get(id) ?? places.get(first(id)) }
}

/** The whole handbook: looking something up, and the ways from row to row, need all of it. */
export const useHandbook = () =>
  useQuery({ queryKey: ['handbook'], queryFn: loadAll, staleTime: Infinity, gcTime: Infinity })
