import { faultWords } from '../../core/journal/fault-words.ts'
import type { Explained } from '../../core/schema/explain.ts'
import { StorageRefusal } from './refusal.ts'

/** An entry that could not be read again: it is never written. */
export class UnfitEntry extends StorageRefusal {
  /** Where in the entry, and what would be right. */
  readonly fault: Explained

  constructor(fault: Explained) {
    super('unfit')
    this.name = 'UnfitEntry'
    this.fault = fault
    this.message = `${faultWords(fault)}. This was not kept; what you typed is still here.`
  }
}
