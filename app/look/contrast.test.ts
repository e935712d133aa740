import { readFileSync } from 'node:fs'
import { join } from 'node:path'

const css = readFileSync(join(__dirname, 'base.css'), 'utf8')

/** The inks of one look, from the style sheet itself. */
function inks(selector: string): Record<string, string> {
  const block = css.slice(css.indexOf(selector)).split('}')[0]!
  return Object.fromEntries([...block.matchAll(/--([a-z-]+): (#[0-9a-f]{6})/g)].map((match) => [match[1]!, match[2]!]))
}

/** Relative luminance and contrast ratio, WCAG 2.2. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x)
  return (light! + 0.05) / (dark! + 0.05)
}

describe.each([
  ['Paper', ':root {'],
  ['Night', ":root[data-look='night'] {"],
])('%s', (_name, selector) => {
  const ink = inks(selector)

  test.each(['ink', 'second', 'act', 'soon', 'quiet'])('%s can be read on every paper', (name) => {
    for (const paper of ['ground', 'sheet']) expect(contrast(ink[name]!, ink[paper]!)).toBeGreaterThanOrEqual(4.5)
  })

  test('a filled button can be read', () => {
    expect(contrast(ink['on-second']!, ink['second']!)).toBeGreaterThanOrEqual(4.5)
  })

  test('text over the target band, and the outline of what can be pressed', () => {
    expect(contrast(ink['ink']!, ink['band']!)).toBeGreaterThanOrEqual(4.5)
    expect(contrast(ink['second']!, ink['ground']!)).toBeGreaterThanOrEqual(3)
  })
})
