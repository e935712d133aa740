/** The value that would stand at a place if the list were sorted; the list is put into another order (Hoare's selection). */
function select(values: Float64Array, place: number): number {
  let [low, high] = [0, values.length - 1]
  while (low < high) {
    const pivot = values[(low + high) >> 1]!
    let [i, j] = [low, high]
    while (i <= j) {
      while (values[i]! < pivot) i++
      while (values[j]! > pivot) j--
      if (i <= j) {
        const other = values[i]!
        values[i++] = values[j]!
        values[j--] = other
      }
    }
    if (place <= j) high = j
    else if (place >= i) low = i
    else break
  }
  return values[place]!
}

/** The middle of a list, the mean of the two middle ones where their number is even. The list is left as it was. @returns NaN for none */
export function median(values: ArrayLike<number>): number {
  const n = values.length
  if (n === 0) return NaN
  const copy = Float64Array.from(values)
  const upper = select(copy, n >> 1)
  return n % 2 === 1 ? upper : (select(copy, (n >> 1) - 1) + upper) / 2
}
