import type { TankShape } from './volume.schema.ts'

/** Inner length and depth of a shape as seen from the front and from above, cm. */
export function extent(shape: Exclude<TankShape, { kind: 'known' }>): { lengthCm: number; depthCm: number } {
  switch (shape.kind) {
    case 'box':
      return { lengthCm: shape.lengthCm, depthCm: shape.widthCm }
    case 'bow-front':
      return { lengthCm: shape.lengthCm, depthCm: shape.widthCm + shape.bowCm }
    case 'cylinder':
      return { lengthCm: shape.diameterCm, depthCm: shape.diameterCm }
    case 'hexagon':
      return { lengthCm: 2 * shape.sideCm, depthCm: Math.sqrt(3) * shape.sideCm }
  }
}
