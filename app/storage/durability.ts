/**
 * Browsers may report a write as done while it is still on its way to the disk ("relaxed" durability). Brinvo shows an
 * entry as kept only once it is on disk, and aquarium keepers know power cuts; localForage has no option for this, so
 * every writing transaction is asked to be strict here, before the first database is opened.
 */
export function makeWritesStrict(): void {
  if (typeof IDBDatabase === 'undefined') return
  // eslint-disable-next-line @typescript-eslint/unbound-method -- called with its database as `this` below
  const { transaction } = IDBDatabase.prototype
  IDBDatabase.prototype.transaction = function strictTransaction(this: IDBDatabase, stores, mode, options) {
    return transaction.call(this, stores, mode, mode === 'readwrite' ? { durability: 'strict', ...options } : options)
  }
}
