import { styled } from 'styled-components'
import { extent } from '../../../core/volume/extent.ts'
import { DEFAULT_ROCK_DENSITY_KG_PER_L } from '../../../core/volume/volume.ts'
import type { TankShape, VolumeSheet } from '../../../core/volume/volume.schema.ts'
import type { UnitHabits } from '../../../core/household/settings.ts'
import { length, quantityText, volume } from '../../../core/words/quantities.ts'

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  .glass {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .water {
    fill: var(--water);
  }
  .line {
    stroke: var(--second);
    stroke-width: 2;
  }
  .sand {
    fill: var(--sand);
  }
  .rock {
    fill: var(--rock);
    stroke: var(--quiet);
    stroke-width: 1;
  }
  .measure {
    stroke: var(--quiet);
    stroke-width: 1;
  }
  text {
    fill: var(--ink);
    font-family: var(--mono);
    font-size: 13px;
  }
  .soft {
    fill: var(--quiet);
    font-family: var(--sans);
  }
`

const VIEW_W = 680
const MAX_DRAWN_H = 300
const MARGIN = { left: 62, right: 12, top: 16, bottom: 34 }
const GAP = 46
const SUMP_HEIGHT_CM = 30

/** The floor from above, front edge below, drawn from its top left corner. */
function floorPath(shape: Exclude<TankShape, { kind: 'known' }>, x: number, y: number, scale: number): string {
  const { lengthCm, depthCm } = extent(shape)
  const [w, d] = [lengthCm * scale, depthCm * scale]
  switch (shape.kind) {
    case 'box':
      return `M${x} ${y}h${w}v${d}h${-w}z`
    case 'cylinder':
      return `M${x} ${y + d / 2}a${w / 2} ${w / 2} 0 1 0 ${w} 0a${w / 2} ${w / 2} 0 1 0 ${-w} 0z`
    case 'hexagon':
      return `M${x + w / 4} ${y}h${w / 2}l${w / 4} ${d / 2}l${-w / 4} ${d / 2}h${-w / 2}l${-w / 4} ${-d / 2}z`
    case 'bow-front': {
      const bow = shape.bowCm * scale
      const flat = shape.widthCm * scale
      const radius = bow > 0 ? (w * w) / (8 * bow) + bow / 2 : 0
      return bow > 0
        ? `M${x} ${y}h${w}v${flat}A${radius} ${radius} 0 0 1 ${x} ${y + flat}z`
        : `M${x} ${y}h${w}v${flat}h${-w}z`
    }
  }
}

/** A heap of rock on the sand whose area in the drawing is its volume over the tank's depth: half an ellipse. */
function heapPath(
  rockCm2: number,
  lengthCm: number,
  roomCm: number,
  toX: (cm: number) => number,
  toY: (cm: number) => number,
  floorCm: number,
): string {
  let half = 0.19 * lengthCm
  let high = (2 * rockCm2) / (Math.PI * half)
  if (high > roomCm) {
    high = roomCm
    half = Math.min(lengthCm / 2, (2 * rockCm2) / (Math.PI * high))
  }
  const middle = lengthCm * 0.46
  const steps = 28
  let path = `M${toX(middle - half)} ${toY(floorCm)}`
  for (let i = 1; i < steps; i++) {
    const angle = Math.PI - (Math.PI * i) / steps
    // A fixed unevenness, so that it reads as rock and not as a dome; it averages out.
    const rough = 1 + 0.07 * Math.sin(i * 2.6) * Math.sin(angle)
    path += `L${toX(middle + half * Math.cos(angle))} ${toY(floorCm + high * Math.sin(angle) * rough)}`
  }
  return `${path}L${toX(middle + half)} ${toY(floorCm)}z`
}

/** A tank drawn to scale from its volume sheet: from the front with water line, sand and rock, and from above. */
export function VolumeDrawing({ sheet, units }: { sheet: VolumeSheet; units: UnitHabits }) {
  const { shape } = sheet
  if (shape.kind === 'known')
    return (
      <Drawing
        viewBox="0 0 560 150"
        role="img"
        aria-label={`A tub of known volume, ${quantityText(volume(shape.litres, units))}`}
      >
        <rect className="water" x="180" y="34" width="200" height="86" />
        <path className="line" d="M180 34h200" />
        <path className="glass" d="M178 20v100h204v-100" />
        <text x="280" y="82" textAnchor="middle">
          {quantityText(volume(shape.litres, units))}
        </text>
        <text className="soft" x="280" y="142" textAnchor="middle">
          known volume, not to scale
        </text>
      </Drawing>
    )
  return <ScaleDrawing sheet={sheet} shape={shape} units={units} />
}

function ScaleDrawing({
  sheet,
  shape,
  units,
}: {
  sheet: VolumeSheet
  shape: Exclude<TankShape, { kind: 'known' }>
  units: UnitHabits
}) {
  const { lengthCm, depthCm } = extent(shape)
  const waterCm = Math.min(sheet.waterHeightCm ?? shape.heightCm, shape.heightCm)
  const sandCm = Math.min(sheet.substrate?.depthCm ?? 0, shape.heightCm)
  const rockL = sheet.rock ? sheet.rock.dryMassKg / (sheet.rock.solidDensityKgPerL ?? DEFAULT_ROCK_DENSITY_KG_PER_L) : 0
  const sumpCm = sheet.sumpL ? (sheet.sumpL * 1000) / (depthCm * SUMP_HEIGHT_CM) : 0
  const widthCm = lengthCm + sumpCm
  const roomW = VIEW_W - MARGIN.left - MARGIN.right - GAP - (sumpCm > 0 ? GAP / 2 : 0)
  // Front and floor share one scale: that is what "to scale" means.
  const scale = Math.min(roomW / (widthCm + lengthCm), MAX_DRAWN_H / Math.max(shape.heightCm, depthCm))
  const viewH = MARGIN.top + Math.max(shape.heightCm, depthCm) * scale + MARGIN.bottom
  const base = viewH - MARGIN.bottom
  const toX = (cm: number) => MARGIN.left + cm * scale
  const toY = (cm: number) => base - cm * scale
  const floorX = toX(lengthCm) + GAP + (sumpCm > 0 ? sumpCm * scale + GAP / 2 : 0)
  const sumpX = toX(lengthCm) + GAP / 2
  const say = (cm: number) => quantityText(length(cm, units))
  const parts = [
    `${say(lengthCm)} long, ${say(depthCm)} deep, ${say(shape.heightCm)} high`,
    `water to ${say(waterCm)}`,
    sandCm > 0 && `sand ${say(sandCm)}`,
    rockL > 0 && `rock taking up ${quantityText(volume(rockL, units))}`,
    sumpCm > 0 && `a sump of ${quantityText(volume(sheet.sumpL!, units))}`,
  ].filter(Boolean)
  return (
    <Drawing viewBox={`0 0 ${VIEW_W} ${viewH}`} role="img" aria-label={`The tank to scale: ${parts.join(', ')}`}>
      <rect className="water" x={toX(0)} y={toY(waterCm)} width={lengthCm * scale} height={waterCm * scale} />
      {sandCm > 0 && (
        <rect className="sand" x={toX(0)} y={toY(sandCm)} width={lengthCm * scale} height={sandCm * scale} />
      )}
      {rockL > 0 && (
        <path
          className="rock"
          d={heapPath((rockL * 1000) / depthCm, lengthCm, Math.max(1, shape.heightCm - sandCm), toX, toY, sandCm)}
        />
      )}
      <path className="line" d={`M${toX(0)} ${toY(waterCm)}h${lengthCm * scale}`} />
      <path className="glass" d={`M${toX(0)} ${toY(shape.heightCm)}V${base}H${toX(lengthCm)}V${toY(shape.heightCm)}`} />
      <path className="measure" d={`M${MARGIN.left - 10} ${toY(waterCm)}h-8m4 0V${base}m4 0h-8`} />
      <text x={MARGIN.left - 20} y={(toY(waterCm) + base) / 2 + 4} textAnchor="end">
        {length(waterCm, units).value}
      </text>
      <text x={toX(lengthCm / 2)} y={base + 22} textAnchor="middle">
        {say(lengthCm)}
      </text>
      {sumpCm > 0 && (
        <>
          <rect
            className="water"
            x={sumpX}
            y={toY(SUMP_HEIGHT_CM)}
            width={sumpCm * scale}
            height={SUMP_HEIGHT_CM * scale}
          />
          <path
            className="glass"
            d={`M${sumpX} ${toY(SUMP_HEIGHT_CM + 4)}V${base}h${sumpCm * scale}V${toY(SUMP_HEIGHT_CM + 4)}`}
          />
          <text className="soft" x={sumpX + (sumpCm * scale) / 2} y={base + 22} textAnchor="middle">
            sump
          </text>
        </>
      )}
      <path className="water" d={floorPath(shape, floorX, base - depthCm * scale, scale)} />
      <path className="glass" d={floorPath(shape, floorX, base - depthCm * scale, scale)} />
      <text className="soft" x={floorX + (lengthCm * scale) / 2} y={base + 22} textAnchor="middle">
        from above
      </text>
      <text x={floorX + (lengthCm * scale) / 2} y={base - (depthCm * scale) / 2 + 5} textAnchor="middle">
        {say(depthCm)}
      </text>
    </Drawing>
  )
}
