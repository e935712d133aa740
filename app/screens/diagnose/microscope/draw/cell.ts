import type { CellBody } from '../../../../../core/catalogue/microscope/microscope.types.ts'
import { OUTLINES } from '../../../../../core/microscope/outlines.ts'
import type { FieldInks } from './inks.ts'

/** What is drawn on: a canvas, or in a test something that measures. */
export type Pen = Pick<
  CanvasRenderingContext2D,
  | 'beginPath'
  | 'moveTo'
  | 'lineTo'
  | 'closePath'
  | 'ellipse'
  | 'fill'
  | 'stroke'
  | 'fillStyle'
  | 'strokeStyle'
  | 'lineWidth'
  | 'lineCap'
  | 'lineJoin'
  | 'setLineDash'
>

/** Below that length, px, nothing is drawn inside a body. */
const DETAIL_PX = 9
/** Jelly round a colony, as a multiple of its cells' length, and the places of its cells in it. */
export const JELLY_LENGTHS = 7
const IN_JELLY = [
  [0.02, -0.04],
  [-0.26, 0.1],
  [0.24, 0.16],
  [-0.1, -0.3],
  [0.2, -0.24],
  [-0.34, -0.16],
  [0.36, -0.04],
  [-0.06, 0.32],
  [0.1, 0.1],
] as const

/** Grains inside a body, as shares of its length and width. */
const GRAINS = [
  [-0.24, -0.16],
  [-0.1, 0.2],
  [0.06, -0.22],
  [0.2, 0.12],
  [-0.28, 0.1],
  [0.14, 0.28],
  [0.26, -0.12],
  [-0.04, 0.02],
] as const

function trace(pen: Pen, body: CellBody, length: number, width: number): void {
  pen.beginPath()
  OUTLINES[body].forEach(([x, y], i) =>
    i === 0 ? pen.moveTo(x * length, y * width) : pen.lineTo(x * length, y * width),
  )
  pen.closePath()
}

function spot(pen: Pen, x: number, y: number, rx: number, ry = rx): void {
  pen.beginPath()
  pen.ellipse(x, y, rx, ry, 0, 0, 2 * Math.PI)
  pen.fill()
}

function line(pen: Pen, ...points: readonly (readonly [number, number])[]): void {
  pen.beginPath()
  points.forEach(([x, y], i) => (i === 0 ? pen.moveTo(x, y) : pen.lineTo(x, y)))
  pen.stroke()
}

function grains(pen: Pen, inks: FieldInks, length: number, width: number, size: number): void {
  pen.fillStyle = inks.grain
  for (const [x, y] of GRAINS) spot(pen, x * length, y * width, size)
}

/** A groove across, at a share of the length, bent by its lean. */
function groove(pen: Pen, inks: FieldInks, at: number, lean: number, length: number, width: number): void {
  pen.strokeStyle = inks.grain
  line(pen, [(at - lean) * length, -0.46 * width], [at * length, 0], [(at + lean) * length, 0.46 * width])
}

/** What lies within a body, once its outline is filled. */
function inside(pen: Pen, body: CellBody, length: number, width: number, inks: FieldInks): void {
  switch (body) {
    case 'boat':
      pen.fillStyle = inks.gold
      spot(pen, -0.19 * length, 0, 0.15 * length, 0.24 * width)
      spot(pen, 0.19 * length, 0, 0.15 * length, 0.24 * width)
      line(pen, [-0.44 * length, 0], [0.44 * length, 0])
      break
    case 'stick':
      pen.fillStyle = inks.gold
      spot(pen, -0.25 * length, 0, 0.14 * length, 0.3 * width)
      spot(pen, 0.25 * length, 0, 0.14 * length, 0.3 * width)
      line(pen, [0, -0.5 * width], [0, 0.5 * width])
      break
    case 'disc':
      pen.fillStyle = inks.gold
      for (let i = 0; i < 6; i++)
        spot(pen, 0.26 * length * Math.cos(i * 1.05), 0.26 * width * Math.sin(i * 1.05), 0.08 * length)
      pen.beginPath()
      pen.ellipse(0, 0, 0.4 * length, 0.4 * width, 0, 0, 2 * Math.PI)
      pen.stroke()
      break
    case 'tear':
      grains(pen, inks, 0.8 * length, 0.9 * width, 0.035 * length)
      break
    case 'notched':
      grains(pen, inks, length, width, 0.032 * length)
      pen.fillStyle = inks.pale
      spot(pen, -0.02 * length, 0, 0.1 * length)
      break
    case 'oblique':
      grains(pen, inks, length, width, 0.035 * length)
      groove(pen, inks, 0.04, 0.07, length, width)
      break
    case 'beaked':
      grains(pen, inks, length, width, 0.035 * length)
      groove(pen, inks, 0.24, -0.06, length, 0.86 * width)
      break
    case 'lens':
      grains(pen, inks, 1.2 * length, 1.2 * width, 0.028 * length)
      grains(pen, inks, -0.7 * length, 0.8 * width, 0.028 * length)
      groove(pen, inks, 0.02, 0.02, length, width)
      break
    case 'ciliate':
      pen.fillStyle = inks.gold
      spot(pen, -0.18 * length, 0.08 * width, 0.07 * length)
      spot(pen, 0.02 * length, -0.14 * width, 0.06 * length)
      spot(pen, 0.18 * length, 0.1 * width, 0.055 * length)
      break
    case 'grain':
      line(pen, [-0.3 * length, -0.16 * width], [0.06 * length, 0.04 * width], [0.3 * length, -0.1 * width])
      line(pen, [0.06 * length, 0.04 * width], [-0.04 * length, 0.4 * width])
      break
    case 'green-ball':
      pen.fillStyle = inks.deepGreen
      spot(pen, 0.08 * length, 0.06 * width, 0.18 * length)
      break
    case 'chain':
    case 'thread':
    case 'colony':
      break
  }
}

const FILL: Readonly<Record<CellBody, keyof FieldInks>> = {
  boat: 'glass',
  stick: 'glass',
  disc: 'glass',
  chain: 'chain',
  tear: 'gold',
  notched: 'gold',
  oblique: 'gold',
  beaked: 'gold',
  lens: 'gold',
  colony: 'gold',
  ciliate: 'glass',
  grain: 'sand',
  thread: 'green',
  'green-ball': 'green',
}
const STIFF = new Set<CellBody>(['boat', 'stick', 'disc', 'grain'])

/** Hairs of a ciliate, as a share of its width. */
export const HAIR_SHARE = 0.14

function hairs(pen: Pen, length: number, width: number): void {
  const reach = HAIR_SHARE * width
  for (const [x, y] of OUTLINES.ciliate) {
    const far = Math.hypot(x * length, y * width) || 1
    line(pen, [x * length, y * width], [x * length * (1 + reach / far), y * width * (1 + reach / far)])
  }
}

/**
 * Draws one body round the origin, its front to the right, as long and wide as it is said to be: with its outline's line inside that.
 * @param length px
 * @param width px
 */
export function drawBody(pen: Pen, body: CellBody, length: number, width: number, inks: FieldInks): void {
  if (body === 'colony') return drawColony(pen, length, inks)
  const stroke = Math.max(0.7, Math.min(1.6, 0.05 * length))
  pen.setLineDash([])
  pen.lineJoin = 'round'
  pen.lineWidth = stroke
  pen.strokeStyle = STIFF.has(body) || body === 'ciliate' ? inks.line : inks.grain
  // Half a line lies outside of its path.
  const [l, w] = [Math.max(1, length - stroke), Math.max(1, width - stroke)]
  if (body === 'ciliate') hairs(pen, l, w)
  pen.fillStyle = inks[FILL[body]]
  trace(pen, body, l, w)
  pen.fill()
  pen.stroke()
  if (length >= DETAIL_PX) inside(pen, body, l, w, inks)
}

function drawColony(pen: Pen, cellPx: number, inks: FieldInks): void {
  const across = JELLY_LENGTHS * cellPx
  pen.fillStyle = inks.jelly
  spot(pen, 0, 0, across / 2, 0.42 * across)
  pen.setLineDash([])
  pen.lineWidth = 0.7
  pen.strokeStyle = inks.grain
  for (const [x, y] of IN_JELLY) {
    pen.fillStyle = inks.gold
    spot(pen, x * across, y * 0.84 * across, cellPx / 2)
  }
}

/** Points along a thread from its rear, swung to one side towards its front. */
const THREAD_POINTS = 16
/** How far the end of a chain swings, as a share of its length (assumed). */
const SWING = 0.12

/**
 * Draws a chain or a thread round the origin, its front to the right.
 * @param swing -1 to 1: how far its end is swung
 */
export function drawThread(
  pen: Pen,
  body: 'chain' | 'thread',
  length: number,
  width: number,
  swing: number,
  inks: FieldInks,
): void {
  const points = Array.from({ length: THREAD_POINTS + 1 }, (_, i): [number, number] => {
    const share = i / THREAD_POINTS
    return [(share - 0.5) * length, SWING * length * swing * share ** 2]
  })
  pen.lineCap = 'butt'
  pen.lineJoin = 'round'
  pen.setLineDash([])
  pen.strokeStyle = inks[body === 'chain' ? 'chain' : 'line']
  pen.lineWidth = width
  line(pen, ...points)
  if (body === 'thread') {
    pen.strokeStyle = inks.glass
    pen.lineWidth = Math.max(0.5, width - 2)
    line(pen, ...points)
    pen.strokeStyle = inks.green
    pen.lineWidth = 0.62 * width
    pen.setLineDash([1.5 * width, 0.9 * width])
    line(pen, ...points)
  }
  // Walls across: short dashes of the full width.
  const gap = body === 'chain' ? Math.max(2, 0.5 * width) : 2.4 * width
  pen.strokeStyle = inks[body === 'chain' ? 'light' : 'line']
  pen.lineWidth = width
  pen.setLineDash([Math.min(1, 0.3 * gap), gap])
  line(pen, ...points)
  pen.setLineDash([])
}
