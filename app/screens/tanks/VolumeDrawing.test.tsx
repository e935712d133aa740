import { render, screen } from '@testing-library/react'
import { METRIC } from '../../../core/household/settings.ts'
import type { VolumeSheet } from '../../../core/volume/volume.schema.ts'
import { VolumeDrawing } from './VolumeDrawing.tsx'

const draw = (sheet: VolumeSheet) => {
  const { container } = render(<VolumeDrawing sheet={sheet} units={METRIC} />)
  return { name: screen.getByRole('img').getAttribute('aria-label')!, container }
}
const rects = (container: HTMLElement, kind: string) =>
  [...container.querySelectorAll(`rect.${kind}`)].map((rect) => ({
    w: Number(rect.getAttribute('width')),
    h: Number(rect.getAttribute('height')),
  }))

describe('the tank drawn to scale', () => {
  test('water, sand and sump keep their proportions', () => {
    const { container } = draw({
      shape: { kind: 'box', lengthCm: 100, widthCm: 50, heightCm: 60 },
      waterHeightCm: 50,
      substrate: { depthCm: 5 },
      sumpL: 60,
    })
    const [water, sump] = rects(container, 'water')
    const [sand] = rects(container, 'sand')
    expect(water!.w / water!.h).toBeCloseTo(100 / 50)
    expect(sand!.h / water!.h).toBeCloseTo(5 / 50)
    // 60 L behind a front of the tank's own depth, drawn 30 cm high, is 40 cm long.
    expect(sump!.w / water!.w).toBeCloseTo(40 / 100)
  })

  test('it says in words what it shows', () => {
    expect(
      draw({
        shape: { kind: 'box', lengthCm: 100, widthCm: 50, heightCm: 60 },
        waterHeightCm: 50,
        rock: { dryMassKg: 28 },
      }).name,
    ).toBe('The tank to scale: 100 cm long, 50 cm deep, 60 cm high, water to 50 cm, rock taking up 10.0 L')
  })

  test.each([
    [{ kind: 'cylinder', diameterCm: 40, heightCm: 50 }],
    [{ kind: 'hexagon', sideCm: 30, heightCm: 50 }],
    [{ kind: 'bow-front', lengthCm: 80, widthCm: 30, bowCm: 10, heightCm: 50 }],
    [{ kind: 'bow-front', lengthCm: 80, widthCm: 30, bowCm: 0, heightCm: 50 }],
  ] as VolumeSheet['shape'][][])('%j is drawn without a number that is none', (shape) => {
    const { container } = draw({ shape: shape, rock: { dryMassKg: 5 } })
    expect(container.innerHTML).not.toMatch(/NaN|Infinity/)
    expect(container.querySelectorAll('path').length).toBeGreaterThan(3)
  })

  test('a tub of known volume says that it is not to scale', () => {
    const { container } = draw({ shape: { kind: 'known', litres: 45 } })
    expect(container).toHaveTextContent('45.0 L')
    expect(container).toHaveTextContent('not to scale')
  })
})
