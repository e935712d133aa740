/** An objective of a usual student's microscope, with its ×10 eyepiece. */
export interface Objective {
  times: 4 | 10 | 40
  /** Width of the field that is seen, µm. */
  fieldUm: number
}

/** ×10 objective and ×10 eyepiece see about 1.8 mm (outbreaks.md 4, m6); the others by their power. */
const FIELD_AT_10_UM = 1800

/** The objectives that the key and the tally know. */
export const OBJECTIVES: readonly Objective[] = ([4, 10, 40] as const).map((times) => ({
  times,
  fieldUm: (FIELD_AT_10_UM * 10) / times,
}))

/** The width of the field of an objective, µm. */
export const fieldUm = (times: Objective['times']): number => OBJECTIVES.find((one) => one.times === times)!.fieldUm

/** A whole field is drawn so wide, px: where there is less room its middle is shown, at the same scale. */
const FIELD_PX = 560

/** Pixels (CSS) that a µm is drawn with: the same on every device, so that sizes can be compared. */
export const pxPerUm = (times: Objective['times']): number => FIELD_PX / fieldUm(times)

/** Lengths that a scale bar may have, µm. */
const BARS_UM = [10, 20, 50, 100, 200, 500, 1000, 2000] as const

/** The longest bar, µm, that takes at most a third of a width. */
export const scaleBarUm = (times: Objective['times'], widthPx: number): number =>
  BARS_UM.findLast((bar) => bar * pxPerUm(times) <= widthPx / 3) ?? BARS_UM[0]
