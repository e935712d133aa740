/** Three tones, then a rest: heard over a pump, told apart from a kitchen timer. */
const TONES = [
  { at: 0, hertz: 740 },
  { at: 0.22, hertz: 740 },
  { at: 0.44, hertz: 988 },
] as const
const TONE_SECONDS = 0.17
const VIBRATION = [250, 120, 250, 120, 400]

let context: AudioContext | null = null

/** Lets the page make sound. Browsers want a touch or a key first: called from one. */
export function allowSound(): void {
  try {
    context ??= new AudioContext()
    void context.resume()
  } catch {
    // No sound on this device: what is due still shows and shakes.
  }
}

/** Whether a ring would be heard now. */
export const canSound = (): boolean => context?.state === 'running'

/** Rings once: sound where it is allowed, vibration where the device has it. */
export function ring(): void {
  if (context?.state === 'running')
    for (const { at, hertz } of TONES) {
      const from = context.currentTime + at
      const tone = context.createOscillator()
      const loudness = context.createGain()
      tone.frequency.value = hertz
      loudness.gain.setValueAtTime(0, from)
      loudness.gain.linearRampToValueAtTime(0.35, from + 0.02)
      loudness.gain.linearRampToValueAtTime(0, from + TONE_SECONDS)
      tone.connect(loudness).connect(context.destination)
      tone.start(from)
      tone.stop(from + TONE_SECONDS)
    }
  if ('vibrate' in navigator) navigator.vibrate(VIBRATION)
  window.dispatchEvent(new Event('brinvo-ring'))
}
