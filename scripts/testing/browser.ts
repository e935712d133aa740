/** What jsdom leaves out and the app's storage needs. */
import 'fake-indexeddb/auto'
import { TextDecoder, TextEncoder } from 'node:util'
import { deserialize, serialize } from 'node:v8'
import { BroadcastChannel } from 'node:worker_threads'

/** Node's channels hold the process open; a browser's do not. */
class PageChannel extends BroadcastChannel {
  constructor(name: string) {
    super(name)
    this.unref()
  }
}

Object.assign(globalThis, {
  BroadcastChannel: PageChannel,
  TextEncoder,
  TextDecoder,
  structuredClone: globalThis.structuredClone ?? ((value: unknown) => deserialize(serialize(value)) as unknown),
})

// A file's bytes, by the older way that jsdom knows.
if (typeof Blob !== 'undefined' && typeof FileReader !== 'undefined')
  Object.defineProperty(Blob.prototype, 'arrayBuffer', {
    configurable: true,
    writable: true,
    value(this: Blob) {
      return new Promise<ArrayBuffer>((resolve, reject) => {
        const reader = new FileReader()
        reader.onload = () => resolve(reader.result as ArrayBuffer)
        reader.onerror = () => reject(reader.error ?? new Error('not read'))
        reader.readAsArrayBuffer(this)
      })
    },
  })

// Nothing is scrolled where nothing is drawn.
if (typeof window !== 'undefined') Element.prototype.scrollIntoView = () => {}

// Measured sizes and media queries: jsdom draws nothing.
class NoResize {
  observe() {
    // Nothing ever changes size here.
  }
  unobserve() {
    // See above.
  }
  disconnect() {
    // See above.
  }
}
Object.assign(globalThis, { ResizeObserver: NoResize })
if (typeof window !== 'undefined')
  window.matchMedia = (query: string) =>
    ({
      matches: false,
      media: query,
      addEventListener: () => {},
      removeEventListener: () => {},
    }) as unknown as MediaQueryList
