import { invalid, noSolution, ok, type Result } from '../result/result.ts'
import type { TankShape, TankVolume, VolumeFromDose, VolumeFromDoseInput, VolumeSheet } from './volume.schema.ts'

/** Share of a settled sand bed that is water (design contract). */
export const DEFAULT_POROSITY = 0.4
/** Density of the stone itself, without its pores, kg/L: carbonate rock (design contract). */
export const DEFAULT_ROCK_DENSITY_KG_PER_L = 2.8

const CM3_PER_L = 1000

/**
 * Area of the circular segment with a given chord and sagitta, in the square of their unit.
 * From the central angle θ = 4·atan(2h/c): area = R²·(θ − sin θ)/2. For a very flat bow that difference cancels, so the
 * parabola's 2/3·c·h stands in (it is out by less than one part in a million there).
 */
function segmentArea(chord: number, sagitta: number): number {
  if (sagitta / chord < 1e-3) return (2 / 3) * chord * sagitta
  const angle = 4 * Math.atan((2 * sagitta) / chord)
  const radius = (chord * chord) / (8 * sagitta) + sagitta / 2
  return (radius * radius * (angle - Math.sin(angle))) / 2
}

/** Inner floor area in cm²; null where only the volume is known. */
export function footprintCm2(shape: TankShape): number | null {
  switch (shape.kind) {
    case 'box':
      return shape.lengthCm * shape.widthCm
    case 'cylinder':
      return (Math.PI / 4) * shape.diameterCm ** 2
    case 'hexagon':
      return ((3 * Math.sqrt(3)) / 2) * shape.sideCm ** 2
    case 'bow-front':
      return shape.lengthCm * shape.widthCm + segmentArea(shape.lengthCm, shape.bowCm)
    case 'known':
      return null
  }
}

/**
 * Net water volume of a tank from its dimensions: filled − displaced + sump, in litres.
 * Sand displaces footprint × depth × (1 − porosity), but none above the water line; rock displaces dry mass ÷ density.
 * @returns `invalid-input` for a water line over the rim, sand in a tank without a footprint, a bow deeper than half the
 *   length; `no-solution` when no water is left.
 */
export function tankVolume(sheet: VolumeSheet): Result<TankVolume> {
  const { shape, waterHeightCm, substrate, rock, sumpL = 0, otherDisplacementL = 0 } = sheet
  if (shape.kind === 'bow-front' && shape.bowCm > shape.lengthCm / 2)
    return invalid('/shape/bowCm', `expected at most half the length, ${shape.lengthCm / 2} cm; came ${shape.bowCm}`)
  const footprint = footprintCm2(shape)
  let grossL: number
  let filledL: number
  let waterCm = Infinity
  if (shape.kind === 'known' || footprint === null) {
    if (waterHeightCm !== undefined)
      return invalid('/waterHeightCm', 'a tank of known volume has no water height; give its litres to the water line')
    if (substrate !== undefined)
      return invalid('/substrate', 'sand needs the tank’s floor area; take its volume off the known litres instead')
    grossL = filledL = (shape as Extract<TankShape, { kind: 'known' }>).litres
  } else {
    if (waterHeightCm !== undefined && waterHeightCm > shape.heightCm)
      return invalid(
        '/waterHeightCm',
        `expected at most the tank’s height, ${shape.heightCm} cm; came ${waterHeightCm}`,
      )
    waterCm = waterHeightCm ?? shape.heightCm
    grossL = (footprint * shape.heightCm) / CM3_PER_L
    filledL = (footprint * waterCm) / CM3_PER_L
  }
  const sandL =
    substrate && footprint !== null
      ? (footprint * Math.min(substrate.depthCm, waterCm) * (1 - (substrate.porosity ?? DEFAULT_POROSITY))) / CM3_PER_L
      : 0
  const rockL = rock ? rock.dryMassKg / (rock.solidDensityKgPerL ?? DEFAULT_ROCK_DENSITY_KG_PER_L) : 0
  const displacedL = sandL + rockL + otherDisplacementL
  const netL = filledL - displacedL + sumpL
  if (!(netL > 0))
    return noSolution(
      '',
      `sand, rock and the rest displace ${displacedL.toPrecision(4)} L of ${filledL.toPrecision(4)} L: no water is left`,
    )
  return ok({ grossL, filledL, displacedL, netL, footprintCm2: footprint })
}

/**
 * Net volume from a known mass and the rise it made: V = m/Δ, its standard deviation V·√(s₁² + s₂²)/Δ. L; mg, mg/L.
 * @returns `no-solution` when the level did not rise.
 */
export function volumeFromDose({ massMg, before, after }: VolumeFromDoseInput): Result<VolumeFromDose> {
  const rise = after.mgPerL - before.mgPerL
  if (!(rise > 0))
    return noSolution(
      '/after/mgPerL',
      `the level has to rise with the dose; it went from ${before.mgPerL} to ${after.mgPerL} mg/L`,
    )
  const netL = massMg / rise
  return ok({ netL, sdL: (netL * Math.hypot(before.sdMgPerL, after.sdMgPerL)) / rise })
}
