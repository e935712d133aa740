import type { CellKind, Span } from '../catalogue/microscope/microscope.types.ts'

/** Filters that a keeper has, and the width of their openings, µm: outbreaks.md 5 and further-schools.md 5; coffee paper assumed. */
export const MESHES: readonly { um: number; name: string }[] = [
  { um: 5, name: 'cartridge, 5 µm' },
  { um: 10, name: 'sock, 10 µm' },
  { um: 20, name: 'coffee paper, about 20 µm' },
  { um: 25, name: 'sock, 25 µm' },
  { um: 50, name: 'floss, about 50 µm' },
  { um: 100, name: 'sock, 100 µm' },
  { um: 200, name: 'mat or sock, 200 µm' },
]

/** Openings that are asked about, µm. */
export const MESH_LIMITS_UM = { least: 1, most: 1000 } as const

/** What a mesh does with single cells of a kind. */
export type Caught = 'all' | 'some' | 'none'

/** The widths of a kind, µm: a stiff cell passes an opening end on when it is not wider than that. */
export function widthsUm(kind: CellKind): Span {
  if (kind.widthUm) return kind.widthUm
  const [least, most] = kind.widthShare ?? [1, 1]
  return [kind.lengthUm[0] * least, kind.lengthUm[1] * most]
}

/**
 * Whether a mesh holds single cells of a kind: all that are wider than its openings (further-schools.md 5). Cells in strings and
 * mucus are held by coarser ones; openings are nominal, so that a sock lets some larger ones through.
 * @param meshUm width of the openings, µm
 */
export function caughtBy(kind: CellKind, meshUm: number): Caught {
  const [least, most] = widthsUm(kind)
  if (least > meshUm) return 'all'
  return most > meshUm ? 'some' : 'none'
}
