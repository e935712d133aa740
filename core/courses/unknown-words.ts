/** What is said of a course that this version cannot work out. */
export const unknownDefinitionWords = (definition: string): string =>
  `This course is of a kind that this version does not know (${definition}): a newer one works it out.`
