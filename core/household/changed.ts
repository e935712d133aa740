/** A description with some of its properties changed; what is left out stays. */
export const changed = <T extends object>(description: T, changes: Partial<T>): T => ({ ...description, ...changes })
