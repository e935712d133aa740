/** Where the page for the veterinarian is, for some animals. */
export const vetPageHref = (animalIds: readonly string[]): string =>
  `/vet?${new URLSearchParams(animalIds.map((id) => ['animal', id])).toString()}`
