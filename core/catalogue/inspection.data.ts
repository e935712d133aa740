import { ARRIVAL_LABELS } from './arrival-labels.data.ts'
import type { InspectionTick } from './inspection.types.ts'

/**
 * What is looked for in the bag and at the container, by kind of animal: acclimation.md, order of the work 1 and 6 (hobby
 * practice), with the signs of quarantine.md 1 and the pests of outbreaks.md 3.3 where they have an id. Signs that begin
 * with "arr-" exist only on arrival; what is done about them is an editorial assumption. `grave` comes before all else.
 */
export const INSPECTION: readonly InspectionTick[] = [
  // The bag
  { sign: 'arr-bag-leaking', of: ['bag'], label: ARRIVAL_LABELS['arr-bag-leaking'], look: 'Wet box, soft bag, little water left over the animal', picture: 'bag-leaking', then: 'Little water holds little heat and much ammonia: open and measure first.', grave: true },
  { sign: 'arr-water-cloudy', of: ['bag'], label: ARRIVAL_LABELS['arr-water-cloudy'], look: 'Milky or smelling water, foam at the top', picture: 'bag-cloudy', then: 'Something has died or been sick in it: count the ammonia, hurry rather than wait.', grave: true },
  { sign: 'arr-carbon-in-bag', of: ['bag'], label: ARRIVAL_LABELS['arr-carbon-in-bag'], look: 'Black grains on the floor of the bag', picture: 'bag-carbon', then: 'The seller binds ammonia: the reading says less of the hours on the way. Keep the grains out of gills and tank.', grave: false },
  // Fish
  { sign: 'lethargic-bottom', of: ['fish'], label: 'lies without reaction', look: 'Lies on the floor or hangs, and does not turn from a shadow', picture: 'fish-lying', then: 'Opened slowly, in the dark; air in the container; no chasing with a net.', grave: true },
  { sign: 'floats-or-sinks', of: ['fish'], label: 'cannot hold its level', look: 'Head down, tail up, or pressed to the surface', picture: 'fish-floating', then: 'Could be pressure or gut: a calm, dim tank; no needle. A licensed aquatic veterinarian decides.', grave: true },
  { sign: 'patchy-mucus-film', of: ['fish'], label: 'slime in patches', look: 'Cloudy grey-white film on skin, edges hanging', picture: 'fish-slime', then: 'Clownfish above all: a matter of hours. Quarantine alone, nothing shared; look at it again tonight.', grave: true },
  { sign: 'fine-dust-sheen', of: ['fish'], label: 'fine dust', look: 'Flour-fine sheen by side light, uncountable', picture: 'fish-dust', then: 'A matter of hours: quarantine, nothing shared, count breaths every few hours.', grave: true },
  { sign: 'white-grains-countable', of: ['fish'], label: 'white grains', look: 'Grains like table salt, few enough to count', picture: 'fish-grains', then: 'Into quarantine, not a display.', grave: false },
  { sign: 'red-sore-flank', of: ['fish'], label: 'red patch on the flank', look: 'Bloodshot oval under the scales', picture: 'fish-red', then: 'Damsels, chromis and anthias: a matter of hours. Into quarantine alone.', grave: true },
  { sign: 'open-ulcer', of: ['fish'], label: 'open sore', look: 'A wound with the skin gone', picture: 'fish-ulcer', then: 'No net on it: a cup. No bare broken skin of yours in the water.', grave: false },
  { sign: 'fins-ragged', of: ['fish'], label: 'fins torn', look: 'Split, frayed or bitten edges', picture: 'fish-fins', then: 'Clean water heals most of it in days.', grave: false },
  { sign: 'scales-missing', of: ['fish'], label: 'scales missing', look: 'Scrapes, bites, bare spots', picture: 'fish-scales', then: 'Watch the edge: an injury stays, an infection spreads.', grave: false },
  { sign: 'eye-cloudy-one', of: ['fish'], label: 'a cloudy eye', look: 'One eye hazy', picture: 'fish-eye', then: 'Mostly a knock on the way; both eyes would point to flukes.', grave: false },
  { sign: 'belly-pinched', of: ['fish'], label: 'hollow belly', look: 'Belly line caves in, back muscle thin', picture: 'fish-thin', then: 'Small meals often; worms are likely in wild fish.', grave: false },
  // Shrimp, crabs, snails
  { sign: 'arr-on-its-side', of: ['crustacean'], label: ARRIVAL_LABELS['arr-on-its-side'], look: 'On its side or back, legs hardly moving', picture: 'shrimp-side', then: 'Slow and dark; it may be about to moult: do not turn it.', grave: true },
  { sign: 'arr-milky-body', of: ['crustacean'], label: ARRIVAL_LABELS['arr-milky-body'], look: 'Clear flesh turned white, from the tail forward', picture: 'shrimp-milky', then: 'Often salinity or temperature shock, seldom reversible: keep it alone.', grave: true },
  { sign: 'arr-limbs-missing', of: ['crustacean'], label: ARRIVAL_LABELS['arr-limbs-missing'], look: 'Stumps where legs or feelers were', picture: 'shrimp-limbs', then: 'They come again with the next moults, where nothing pesters it.', grave: false },
  { sign: 'arr-moulted', of: ['crustacean'], label: ARRIVAL_LABELS['arr-moulted'], look: 'An empty, clear copy of the animal', picture: 'shrimp-moult', then: 'Alive, and soft for a day: hides, and nothing that pesters it.', grave: false },
  { sign: 'arr-snail-hanging-out', of: ['crustacean'], label: ARRIVAL_LABELS['arr-snail-hanging-out'], look: 'Foot limp, does not draw in when touched', picture: 'snail-limp', then: 'Smell it out of the water: a dead one fouls a small tank within hours.', grave: true },
  // Stars, urchins, cucumbers
  { sign: 'arr-spines-dropped', of: ['echinoderm'], label: ARRIVAL_LABELS['arr-spines-dropped'], look: 'Spines in the bag, bare patches on the shell', picture: 'urchin-spines', then: 'A bad sign: slower still, never in air, keep it alone and watch.', grave: true },
  { sign: 'arr-tube-feet-limp', of: ['echinoderm'], label: ARRIVAL_LABELS['arr-tube-feet-limp'], look: 'Tube feet do not grip the bag', picture: 'urchin-limp', then: 'Never lifted into air; give it a wall to hold.', grave: true },
  { sign: 'arr-arms-soft', of: ['echinoderm'], label: ARRIVAL_LABELS['arr-arms-soft'], look: 'Arm tips soft, curled or with white spots', picture: 'star-soft', then: 'Falling apart follows within days: not into a display.', grave: true },
  // Clams
  { sign: 'arr-clam-gaping', of: ['clam'], label: ARRIVAL_LABELS['arr-clam-gaping'], look: 'Shell open and does not close to a shadow', picture: 'clam-gaping', then: 'Smell it; a dead clam fouls everything. Alone until it closes to a shadow.', grave: true },
  // Anemones
  { sign: 'arr-foot-torn', of: ['anemone'], label: ARRIVAL_LABELS['arr-foot-torn'], look: 'Rip or hole in the foot, threads hanging out', picture: 'anemone-foot', then: 'Seldom survives: photograph it, tell the seller today, keep it out of the display.', grave: true },
  { sign: 'arr-mouth-gaping', of: ['anemone', 'coral'], label: ARRIVAL_LABELS['arr-mouth-gaping'], look: 'Mouth open and turned out, does not draw shut', picture: 'mouth-gaping', then: 'Closed is what it should be: dim, calm, look again in an hour.', grave: true },
  { sign: 'arr-limp', of: ['anemone'], label: ARRIVAL_LABELS['arr-limp'], look: 'Hangs like wet paper, does not stick', picture: 'anemone-limp', then: 'Deflated for a day is common; stinking and falling apart is death: out at once.', grave: false },
  // Corals
  { sign: 'c-brown-jelly', of: ['coral'], label: ARRIVAL_LABELS['c-brown-jelly'], look: 'Jelly that drifts when the bag is tilted', picture: 'coral-jelly', then: 'Not into any tank with corals: alone, siphoned, dipped within the hour.', grave: true },
  { sign: 'c-foul-smell', of: ['coral'], label: ARRIVAL_LABELS['c-foul-smell'], look: 'Smells rotten out of the water', picture: 'coral-smell', then: 'Find the dead part; alone until it is cut away.', grave: true },
  { sign: 'arr-tissue-torn', of: ['coral'], label: ARRIVAL_LABELS['arr-tissue-torn'], look: 'Flesh off the skeleton where it was cut or knocked', picture: 'coral-torn', then: 'A clean cut edge heals: low light, calm flow, no second cut.', grave: false },
  { sign: 'c-eggs', of: ['coral'], label: ARRIVAL_LABELS['c-eggs'], look: 'Coils or clusters on the base, plug or underside', picture: 'coral-eggs', then: 'Scraped away under water, with gloves: dips do not kill eggs. The plug is cut off.', grave: false },
  { sign: 'c-flat-gliding', of: ['coral', 'crustacean'], label: ARRIVAL_LABELS['c-flat-gliding'], look: 'Thin, smooth, glides over tissue or shell', picture: 'hitch-flatworm', then: 'Dip, count what comes off, and back to day 0 with all that came with it.', grave: false },
  { sign: 'c-frilled-slug', of: ['coral'], label: ARRIVAL_LABELS['c-frilled-slug'], look: 'Slug with a frilled back, coloured like the polyps', picture: 'hitch-slug', then: 'Dip, count, eggs looked for; back to day 0.', grave: false },
  { sign: 'c-moving-dots', of: ['coral'], label: ARRIVAL_LABELS['c-moving-dots'], look: 'Dots under 1 mm that walk on the tissue', picture: 'hitch-dots', then: 'By lens, in quarantine; dip by dip until none is left.', grave: false },
  { sign: 'c-long-thin-tentacles', of: ['coral', 'crustacean'], label: ARRIVAL_LABELS['c-long-thin-tentacles'], look: 'Long thin tentacles on a tall column, snaps back', picture: 'hitch-anemone', then: 'Cut out with the rock round it: every scrap grows again. Goggles: it can squirt.', grave: false },
  { sign: 'c-rice-snail', of: ['clam', 'crustacean'], label: ARRIVAL_LABELS['c-rice-snail'], look: 'White, 1–5 mm, by the shell’s edge at night', picture: 'hitch-rice', then: 'Brushed off; brush again for weeks, at night.', grave: false },
  { sign: 'c-hairy-dark-claws', of: ['coral'], label: ARRIVAL_LABELS['c-hairy-dark-claws'], look: 'Hairy, dark-tipped claws, in a hole', picture: 'hitch-crab', then: 'Not across: out of its hole before the rock goes in.', grave: false },
]
