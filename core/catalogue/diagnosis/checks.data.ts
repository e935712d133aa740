/** How a sign is looked for, where its name does not say it: outbreaks.md 2 and 4, quarantine.md 1; the dip's minutes quarantine.md 5.2. */
export const HOW_TO_CHECK: Readonly<Record<string, string>> = {
  'breathing-fast': 'Count the gill beats of half a minute, twice, from two metres away: over 80 a minute is fast.',
  'flecks-after-fw-dip':
    'Freshwater dip, 5 minutes is usual and 3 to 10 the range, matched in temperature and pH, over a dark tray; out at once if it lies over.',
  'ammonia-raised': 'Test total ammonia, with pH and temperature: 0.5 mg/L or over counts.',
  'nitrite-raised': 'Test nitrite: 0.5 mg/L or over counts.',
  'copper-above-band': 'Test copper by its own kit, against the range of the course.',
  'fine-dust-sheen': 'By torch from the side, before the lights come on.',
  'white-grains-countable': 'Count them on each side by torch, tonight and tomorrow.',
  'one-gill-closed': 'From above and from the front: does one cover stay shut?',
  'spots-come-and-go': 'A photo of both sides every day, in the same light.',
  flashing: 'Five minutes from two metres: how many scrapes?',
  'into-flow': 'Where does it stand when nobody is near: head into the pump’s stream?',
  'shuns-light': 'Lights on: does it go to the darkest place?',
  'faeces-white-stringy': 'Watch half an hour after a meal, and look at the bottom in the morning.',
  'eats-but-thin': 'From above: is the back pinched behind the head?',
  'scales-raised': 'From above: does it look like a pine cone?',
  'a-thins-at-night': 'Look before the lights come on, and again at noon: clearly less at dawn?',
  'a-earthy-smell': 'Rub some between gloved fingers out of the water, and smell; wash after.',
  'a-sheet-peels': 'Lift an edge with a pipette: does it come off in rags?',
  'a-dusting-film': 'One stroke with a finger in a glove: does it go up as a cloud?',
  'a-soft-hair': 'Pull a tuft: does it come out, and is it limp?',
  'a-wiry-mat': 'Try to pull it off by hand: does it hold?',
  'b-peroxide-red': 'A removed piece in 3 % peroxide or alcohol: pink or red within a day? Gloves and eye protection.',
  'b-wipes-off': 'One wipe with a finger.',
  'b-needs-blade': 'Does it need a blade, or tears the leaf first?',
  'b-earthy-smell': 'Rub some between the fingers out of the water, and smell; wash after.',
  'c-foul-smell': 'Lift it out for a second, gloves on, and smell.',
  'c-brown-jelly': 'Look, do not blow: does brown jelly lie on the tissue and drift at a touch?',
  'c-moving-dots': 'Loupe ×10 on the tissue for a minute: do the dots move?',
  'c-eggs': 'By torch at the dead edge, the base and under the plate.',
  'c-bite-marks': 'Blow the coral off with a baster over a white cup, and look at base and shade.',
  'c-waxy-film': 'Touch it with a glove: firm underneath?',
  'c-snaps-back': 'Touch it with a pipette.',
  'c-frilled-slug': 'By torch an hour after lights-off, at the rim and under it.',
  'c-faces-neighbour': 'By torch at night: do sweepers reach it?',
}

/** By the sign’s group, where the sign has no line of its own. */
export const HOW_TO_CHECK_BY_GROUP: Readonly<Record<string, string>> = {
  micro: 'A drop under the microscope: take the brown, let it settle five minutes, lowest power first.',
  tissue: 'By loupe and torch, in white light.',
  shape: 'By loupe, or a photo made large.',
  motion: 'Watch it for a minute.',
  time: 'Look at two times of the day.',
  test: 'A quick test at the tank.',
}

/** Signs that are absent only if they were really looked for with a kit or a dip: quarantine.md 3. */
export const TESTED_SIGNS: ReadonlySet<string> = new Set([
  'flecks-after-fw-dip',
  'ammonia-raised',
  'nitrite-raised',
  'copper-above-band',
])

/** Groups in which a yes leaves the others unanswered and unasked: outbreaks.md 3. */
export const SIBLING_GROUPS: ReadonlySet<string> = new Set(['colour', 'texture', 'shape', 'host'])

/** Signs that say more of another sign of their group, and are asked after its yes. */
export const REFINES: Readonly<Record<string, string>> = {
  'c-dots-yellow-red': 'c-moving-dots',
  'c-dots-dark': 'c-moving-dots',
  'c-red-gills-frill': 'c-segments-bristles',
}
