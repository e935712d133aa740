import localforage from 'localforage'
import { refusalOf } from './refusal.ts'

/** A journal put aside before it was emptied: its whole text, to be brought back. */
export interface Copy {
  id: string
  /** When it was put aside, ISO. */
  made: string
  entries: number
  text: string
}

const open = () =>
  localforage.createInstance({ name: 'brinvo-copies', storeName: 'copies', driver: localforage.INDEXEDDB })

/** @throws StorageRefusal when the browser would not keep it: then nothing may be emptied */
export async function keepCopy(copy: Copy): Promise<void> {
  try {
    await open().setItem(copy.id, copy)
  } catch (error) {
    throw refusalOf(error)
  }
}

/** The copies on this device, newest first. */
export async function copiesKept(): Promise<Copy[]> {
  const copies: Copy[] = []
  await open().iterate<Copy, void>((copy) => {
    copies.push(copy)
  })
  return copies.sort((a, b) => (a.made < b.made ? 1 : -1))
}

export async function dropCopy(id: string): Promise<void> {
  await open().removeItem(id)
}
