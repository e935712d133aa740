/** Why something was not kept. */
export type RefusalReason = 'full' | 'refused' | 'replaced' | 'unfit'

/** The browser's storage said no; nothing that was shown as kept is lost by it. */
export class StorageRefusal extends Error {
  readonly reason: RefusalReason

  constructor(reason: RefusalReason, cause?: unknown) {
    super(REASONS[reason], { cause })
    this.name = 'StorageRefusal'
    this.reason = reason
  }
}

const REASONS: Record<RefusalReason, string> = {
  full: 'This browser’s storage is full, so this was not kept. Make room on the device, or export the journal and go on elsewhere. What you typed is still here.',
  refused:
    'This browser refuses to keep data for this page (private window, blocked site data, or a fault of its storage), so this was not kept. What you typed is still here.',
  unfit: 'A figure or a text in it is beyond what can be kept, so this was not kept. What you typed is still here.',
  replaced:
    'The journal was emptied or loaded afresh in another tab. This tab has caught up; look, then keep it again. What you typed is still here.',
}

/** The reason behind whatever a storage call was rejected with. */
export function refusalOf(error: unknown): StorageRefusal {
  if (error instanceof StorageRefusal) return error
  const { name, message } = (error ?? {}) as { name?: unknown; message?: unknown }
  const full = name === 'QuotaExceededError' || /quota|disk ?full|no space/i.test(String(message))
  return new StorageRefusal(full ? 'full' : 'refused', error)
}
