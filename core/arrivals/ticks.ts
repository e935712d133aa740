/** Names a tick of the preparations, so that what was said of it is found again. */
export const tickId = (boxId: string, tankId: string, item: string): string => `prep/${boxId}/${tankId}/${item}`
