import crc32 from 'crc-32'

/**
 * The checksum of a journal file: CRC-32 of its entries as JSON without spaces, a line each, in UTF-8.
 * @returns eight hexadecimal digits
 * @example
 * checksumOf([]) // "00000000"
 */
export function checksumOf(entries: readonly unknown[]): string {
  let sum = 0
  for (const [i, entry] of entries.entries()) sum = crc32.str(`${i > 0 ? '\n' : ''}${JSON.stringify(entry)}`, sum)
  return (sum >>> 0).toString(16).padStart(8, '0')
}
