import { cellKind } from '../../../../../core/catalogue/microscope/cell-kinds.data.ts'
import type { CellKindId } from '../../../../../core/catalogue/microscope/microscope.types.ts'
import { traces, type Cell, type CellField } from '../../../../../core/microscope/field.ts'
import { pxPerUm } from '../../../../../core/microscope/scale.ts'
import type { View } from '../../../../../core/microscope/view.ts'
import { drawBody, drawThread, HAIR_SHARE, JELLY_LENGTHS } from './cell.ts'
import { fieldInks, type FieldInks } from './inks.ts'

/** Seconds of motion that a still picture shows as a dotted way. */
const TRACE_SECONDS = 1

/** A body drawn once, to be put down many times. */
interface Sprite {
  image: HTMLCanvasElement
  /** CSS px. */
  across: number
}

/** Draws fields on one canvas; bodies are drawn once for each size and kept. */
export class FieldPainter {
  private readonly sprites = new Map<string, Sprite>()
  private inks = fieldInks()
  private readonly context: CanvasRenderingContext2D
  private readonly view: View
  private readonly density: number

  constructor(context: CanvasRenderingContext2D, view: View, density: number) {
    this.context = context
    this.view = view
    this.density = density
  }

  /** One frame. A still one shows the way each cell would go within a second. */
  paint(field: CellField, isStill: boolean, named: readonly CellKindId[] = []): void {
    const { context, view, density } = this
    const inks = fieldInks()
    if (inks !== this.inks) this.sprites.clear()
    this.inks = inks
    context.setTransform(density, 0, 0, density, 0, 0)
    context.fillStyle = inks.light
    context.fillRect(0, 0, view.widthPx, view.widthPx)
    if (isStill) this.paintTraces(field, inks)
    for (const cell of field.cells) this.paintCell(cell, inks)
    context.setTransform(density, 0, 0, density, 0, 0)
    for (const kind of named) this.nameOne(field, kind, inks)
  }

  private toPx(um: number): number {
    const { sideUm, visibleUm, times } = this.view
    return (um - (sideUm - visibleUm) / 2) * pxPerUm(times)
  }

  private paintCell(cell: Cell, inks: FieldInks): void {
    const { context, view, density } = this
    const scale = pxPerUm(view.times)
    const [x, y, length, width] = [this.toPx(cell.x), this.toPx(cell.y), cell.lengthUm * scale, cell.widthUm * scale]
    const reach = cell.body === 'colony' ? JELLY_LENGTHS * length : length
    if (x < -reach || y < -reach || x > view.widthPx + reach || y > view.widthPx + reach) return
    const [cos, sin] = [Math.cos(cell.heading) * density, Math.sin(cell.heading) * density]
    context.setTransform(cos, sin, -sin, cos, x * density, y * density)
    if (cell.body === 'chain' || cell.body === 'thread') {
      const { motion } = cellKind(cell.kind)
      const swing = motion.way === 'sways' ? Math.sin((2 * Math.PI * cell.phase) / motion.swaySecond) : 0
      drawThread(context, cell.body, length, width, swing, inks)
      return
    }
    const { image, across } = this.spriteOf(cell, length, width, inks)
    context.drawImage(image, -across / 2, -across / 2, across, across)
  }

  private spriteOf({ body }: Cell, length: number, width: number, inks: FieldInks): Sprite {
    // Half a pixel more or less is not seen: cells of about one size share a drawing.
    const [l, w] = [Math.max(1, Math.round(length * 2) / 2), Math.max(1, Math.round(width * 2) / 2)]
    const key = `${body} ${l} ${w}`
    const kept = this.sprites.get(key)
    if (kept) return kept
    const across = Math.ceil((body === 'colony' ? JELLY_LENGTHS * l : Math.max(l, w) + 2 * HAIR_SHARE * w) + 4)
    const image = document.createElement('canvas')
    image.width = image.height = Math.ceil(across * this.density)
    const pen = image.getContext('2d')
    if (pen) {
      pen.setTransform(this.density, 0, 0, this.density, (across / 2) * this.density, (across / 2) * this.density)
      drawBody(pen, body, l, w, inks)
    }
    const sprite = { image, across }
    this.sprites.set(key, sprite)
    return sprite
  }

  private paintTraces(field: CellField, inks: FieldInks): void {
    const { context } = this
    context.strokeStyle = inks.trace
    context.lineWidth = 1.5
    context.lineCap = 'round'
    context.setLineDash([0.5, 4])
    for (const way of traces(field, TRACE_SECONDS, 12)) {
      context.beginPath()
      way.forEach(({ x, y }, i) => {
        const last = way[i - 1]
        // A way that leaves the water on one side comes back on the other: no line goes across.
        const isJump = last !== undefined && Math.hypot(x - last.x, y - last.y) > field.sideUm / 2
        if (i === 0 || isJump) context.moveTo(this.toPx(x), this.toPx(y))
        else context.lineTo(this.toPx(x), this.toPx(y))
      })
      context.stroke()
    }
    context.setLineDash([])
  }

  /** A ring round the one of a kind that lies nearest to the middle. */
  private nameOne(field: CellField, kind: CellKindId, inks: FieldInks): void {
    const { context, view } = this
    const middle = field.sideUm / 2
    const nearest = field.cells
      .filter((cell) => cell.kind === kind)
      .sort((a, b) => Math.hypot(a.x - middle, a.y - middle) - Math.hypot(b.x - middle, b.y - middle))[0]
    if (!nearest) return
    const scale = pxPerUm(view.times)
    const [x, y] = [this.toPx(nearest.x), this.toPx(nearest.y)]
    const radius = Math.min(view.widthPx / 4, Math.max(12, 0.75 * nearest.lengthUm * scale))
    const { name } = cellKind(kind)
    context.strokeStyle = inks.line
    context.lineWidth = 1.5
    context.beginPath()
    context.ellipse(x, y, radius, radius, 0, 0, 2 * Math.PI)
    context.stroke()
    context.fillStyle = inks.line
    context.font = "600 14px 'Atkinson Hyperlegible Next Variable', sans-serif"
    const wide = context.measureText(name).width
    context.fillText(name, Math.max(8, Math.min(view.widthPx - wide - 8, x - wide / 2)), Math.max(18, y - radius - 6))
  }
}
