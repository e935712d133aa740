/** Name and version of the journal file this core writes; docs/formats.md. Apart from the schemas, which stay out of the browser. */
export const FORMAT_NAME = 'brinvo-journal'
export const FORMAT_VERSION = 2
