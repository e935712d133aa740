/** Names a tick of the preparations, so that what was said of it is found again. */
export const tickId = (boxId: string, tankId: string, item: string): string => `prep/${boxId}/${tankId}/${item}`

/** What no journal tells: the rows of the set-up table that every school needs, ticked by hand. */
export const PREPARATION_TICKS: readonly { id: string; title: string; fishOnly?: boolean; quarantineOnly?: boolean }[] =
  [
    { id: 'lid', title: 'Lid' },
    { id: 'hides', title: 'Hides', fishOnly: true },
    { id: 'filter-sponge', title: 'Seeded sponge', quarantineOnly: true },
    { id: 'own-tools', title: 'Tools of its own' },
    { id: 'spare-water', title: 'Spare water' },
    { id: 'ppe', title: 'Gloves, goggles, and a breaker on every socket' },
  ]
