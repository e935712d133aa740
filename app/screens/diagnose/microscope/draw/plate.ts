import { CELL_KINDS } from '../../../../../core/catalogue/microscope/cell-kinds.data.ts'
import type { CellKind } from '../../../../../core/catalogue/microscope/microscope.types.ts'
import { drawnLengths } from '../../../../../core/microscope/field.ts'
import { widthsUm } from '../../../../../core/microscope/mesh.ts'
import { drawBody, drawThread, type Pen } from './cell.ts'
import { fieldInks } from './inks.ts'

/** Px (CSS) for a µm on the plate: a cell of 40 µm is 40 px long, so that it can be measured by eye. */
export const PLATE_PX_PER_UM = 1
/** Room for one cell, px, and for its name under it. */
const ROOM_PX = 128
const NAME_PX = 24

/** The kinds on the plate: single cells that a mesh could hold. */
export const plateKinds = (): CellKind[] => CELL_KINDS.filter(({ tally }) => tally !== null)

/** As many beside each other as there is room for, evenly over the rows. */
function columns(widthPx: number): number {
  const most = Math.max(1, Math.floor(widthPx / ROOM_PX))
  return Math.ceil(plateKinds().length / Math.ceil(plateKinds().length / most))
}

/** Height of a plate of that width, CSS px. */
export const plateHeight = (widthPx: number): number =>
  Math.ceil(plateKinds().length / columns(widthPx)) * (ROOM_PX + NAME_PX)

/** Length and width of a usual cell of a kind, µm: the middle of what is drawn, shortened to its room. */
export function usualSize(kind: CellKind): { lengthUm: number; widthUm: number } {
  const middle = ([least, most]: readonly [number, number]) => (least + most) / 2
  const lengthUm = middle(drawnLengths(kind))
  const widthUm = kind.drawnWidthUm
    ? middle(kind.drawnWidthUm)
    : kind.widthUm
      ? middle(kind.widthUm)
      : lengthUm * middle(kind.widthShare ?? [1, 1])
  return { lengthUm, widthUm: Math.min(widthUm, widthsUm(kind)[1]) }
}

/** Longest piece of a chain or thread that is shown, px. */
const MOST_PX = ROOM_PX - 12

/** Where a kind's cell lies, its middle in CSS px, and how it is drawn there. */
export function placesOnPlate(
  widthPx: number,
): { kind: CellKind; x: number; y: number; lengthPx: number; widthPx: number }[] {
  const across = columns(widthPx)
  return plateKinds().map((kind, i) => {
    const { lengthUm, widthUm } = usualSize(kind)
    return {
      kind,
      x: ((i % across) + 0.5) * (widthPx / across),
      y: Math.floor(i / across) * (ROOM_PX + NAME_PX) + ROOM_PX / 2,
      lengthPx: Math.min(MOST_PX, lengthUm * PLATE_PX_PER_UM),
      widthPx: widthUm * PLATE_PX_PER_UM,
    }
  })
}

type PlatePen = Pen &
  Pick<
    CanvasRenderingContext2D,
    'fillRect' | 'fillText' | 'font' | 'textAlign' | 'save' | 'restore' | 'translate' | 'clip' | 'rect'
  >

/** Paints the plate: the threads of the mesh behind, one cell of each kind before them. */
export function paintPlate(
  pen: PlatePen,
  { widthPx, heightPx, meshUm }: { widthPx: number; heightPx: number; meshUm: number },
): void {
  const inks = fieldInks()
  pen.fillStyle = inks.light
  pen.fillRect(0, 0, widthPx, heightPx)
  const places = placesOnPlate(widthPx)
  const room = widthPx / columns(widthPx)
  for (const { kind, x, y, lengthPx, widthPx: wide } of places) {
    pen.save()
    pen.beginPath()
    pen.rect(x - room / 2 + 4, y - ROOM_PX / 2 + 4, room - 8, ROOM_PX - 8)
    pen.clip()
    paintMesh(pen, { x, y, room, meshUm, ink: inks.trace })
    pen.translate(x, y)
    const body = kind.bodies[0]!
    if (body === 'chain' || body === 'thread') drawThread(pen, body, lengthPx, wide, 0, inks)
    else drawBody(pen, body, lengthPx, wide, inks)
    pen.restore()
    pen.fillStyle = inks.line
    pen.font = "14px 'Atkinson Hyperlegible Next Variable', sans-serif"
    pen.textAlign = 'center'
    pen.fillText(kind.name.split(',')[0]! + (kind.id === 'amphidinium-small' ? ', small' : ''), x, y + ROOM_PX / 2 + 14)
  }
}

/** Threads of the mesh: an opening lies round the middle, so that a cell is seen to fit or not. */
function paintMesh(
  pen: PlatePen,
  { x, y, room, meshUm, ink }: { x: number; y: number; room: number; meshUm: number; ink: string },
): void {
  const opening = meshUm * PLATE_PX_PER_UM
  // Threads of about a third of the opening, as woven mesh has them (assumed).
  const thread = Math.max(1, opening / 3)
  const pitch = opening + thread
  pen.setLineDash([])
  pen.strokeStyle = ink
  pen.lineWidth = Math.min(thread, 3)
  pen.beginPath()
  for (let at = opening / 2 + thread / 2; at < room; at += pitch)
    for (const sign of [-1, 1]) {
      pen.moveTo(x + sign * at, y - ROOM_PX / 2)
      pen.lineTo(x + sign * at, y + ROOM_PX / 2)
      pen.moveTo(x - room / 2, y + sign * at)
      pen.lineTo(x + room / 2, y + sign * at)
    }
  pen.stroke()
}
