/** One loop of frames for every canvas of the page. */
const drawers = new Set<(seconds: number) => void>()
let frame = 0
let before = 0

function tick(now: number): void {
  const seconds = before === 0 ? 0 : (now - before) / 1000
  before = now
  for (const draw of drawers) draw(seconds)
  frame = drawers.size > 0 ? requestAnimationFrame(tick) : 0
}

/**
 * Draws with every frame of the screen until the function it returns is called.
 * @param draw told the seconds since the last frame
 */
export function onEachFrame(draw: (seconds: number) => void): () => void {
  drawers.add(draw)
  if (frame === 0) {
    before = 0
    frame = requestAnimationFrame(tick)
  }
  return () => {
    drawers.delete(draw)
    if (drawers.size === 0 && frame !== 0) {
      cancelAnimationFrame(frame)
      frame = 0
    }
  }
}
