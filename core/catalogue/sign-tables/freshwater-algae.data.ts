import type { SignSheet } from './sign-sheet.ts'

/**
 * Signs of freshwater algae and blooms, outbreaks.md 3.2 (expert estimates, hobby practice). Columns are the conditions in the order of `conditions`; a row is how often its sign
 * is seen in each. Signs of one group among colour, texture, shape and host: a yes leaves the others unanswered.
 */
export const SHEET: SignSheet = {
  source: 'outbreaks.md 3.2: expert estimates',
  conditions: ["diatoms", "cyano-fresh", "hair-algae-fresh", "cladophora-fresh", "spirogyra", "black-beard-algae", "staghorn-algae", "green-spot-algae", "green-dust-algae", "green-water", "bacterial-bloom"],
  priors: { 'new-arrival': [0.15, 0.12, 0.16, 0.05, 0.05, 0.17, 0.05, 0.1, 0.06, 0.05, 0.04] },
  signs: [
    { id: "b-brown", group: "colour", question: "brown?", p: [0.95, 0.05, 0.05, 0.05, 0.01, 0.1, 0.05, 0.01, 0.05, 0.01, 0.01] },
    { id: "b-bright-green", group: "colour", question: "bright or grass green?", p: [0.01, 0.1, 0.8, 0.6, 0.95, 0.01, 0.01, 0.8, 0.95, 0.95, 0.01] },
    { id: "b-blue-green", group: "colour", question: "blue-green to black-green?", p: [0.01, 0.95, 0.01, 0.1, 0.01, 0.4, 0.1, 0.01, 0.05, 0.01, 0.01] },
    { id: "b-dark-grey-black", group: "colour", question: "dark grey, purple-grey or black?", p: [0.05, 0.2, 0.05, 0.1, 0.01, 0.95, 0.8, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-water-green", group: "colour", question: "water itself green?", p: [0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.05, 0.95, 0.01] },
    { id: "b-water-milky", group: "colour", question: "water itself milky?", p: [0.05, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.05, 0.95] },
    { id: "b-hard-round-spots", group: "texture", question: "hard round green spots?", p: [0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.95, 0.05, 0.01, 0.01] },
    { id: "b-dusty-film", group: "texture", question: "dusty film that wipes off as a cloud?", p: [0.8, 0.05, 0.01, 0.01, 0.01, 0.01, 0.01, 0.1, 0.95, 0.01, 0.01] },
    { id: "b-slimy-sheet", group: "texture", question: "slimy sheet that peels in one piece?", p: [0.05, 0.95, 0.01, 0.01, 0.05, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-silky-slimy-threads", group: "texture", question: "long slippery silky threads?", p: [0.01, 0.05, 0.1, 0.05, 0.95, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-soft-fuzz", group: "texture", question: "soft fuzz or threads, not slippery?", p: [0.01, 0.01, 0.95, 0.2, 0.1, 0.1, 0.1, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-coarse-wool", group: "texture", question: "coarse branching wool, rough to the touch?", p: [0.01, 0.01, 0.1, 0.95, 0.01, 0.01, 0.2, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-brush-tufts", group: "texture", question: "short dense brush tufts 2-15 mm?", p: [0.01, 0.01, 0.1, 0.1, 0.01, 0.95, 0.2, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-antler-branches", group: "texture", question: "single strands branching like antlers?", p: [0.01, 0.01, 0.05, 0.2, 0.01, 0.1, 0.95, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-earthy-smell", group: "test", question: "strong earthy or swamp smell?", p: [0.05, 0.8, 0.05, 0.4, 0.05, 0.05, 0.05, 0.05, 0.05, 0.05, 0.2] },
    { id: "b-wipes-off", group: "test", question: "wipes off with a finger?", p: [0.95, 0.8, 0.2, 0.05, 0.4, 0.01, 0.05, 0.01, 0.95, 0.01, 0.01] },
    { id: "b-needs-blade", group: "test", question: "needs a blade, or the leaf tears first?", p: [0.01, 0.01, 0.01, 0.2, 0.01, 0.6, 0.1, 0.95, 0.05, 0.01, 0.01] },
    { id: "b-on-glass", group: "place", question: "mainly on the glass?", p: [0.8, 0.4, 0.1, 0.05, 0.1, 0.1, 0.05, 0.95, 0.95, 0.01, 0.01] },
    { id: "b-leaf-edges", group: "place", question: "on leaf edges or old slow leaves?", p: [0.4, 0.2, 0.4, 0.2, 0.2, 0.8, 0.6, 0.6, 0.1, 0.01, 0.01] },
    { id: "b-substrate-line", group: "place", question: "began where substrate meets glass?", p: [0.2, 0.8, 0.1, 0.2, 0.05, 0.05, 0.05, 0.01, 0.05, 0.01, 0.01] },
    { id: "b-peroxide-red", group: "test", question: "turns pink or red in peroxide or alcohol?", p: [0.01, 0.05, 0.01, 0.01, 0.01, 0.95, 0.8, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-appears-in-days", group: "time", question: "went from nothing to obvious in under a week?", p: [0.6, 0.8, 0.4, 0.1, 0.8, 0.1, 0.2, 0.05, 0.6, 0.8, 0.95] },
    { id: "b-m-spiral", group: "micro", question: "thread with a spiral green ribbon inside?", p: [0.01, 0.01, 0.01, 0.01, 0.95, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-m-chains", group: "micro", question: "unbranched chains of short discs?", p: [0.05, 0.95, 0.05, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01] },
    { id: "b-m-glass-shells", group: "micro", question: "mostly rigid glass-walled boats or discs?", p: [0.95, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.05, 0.01] },
    { id: "b-m-branched-walls", group: "micro", question: "branched threads with cross-walls?", p: [0.01, 0.01, 0.05, 0.95, 0.01, 0.6, 0.6, 0.01, 0.01, 0.01, 0.01] },
    { id: "ctx-tank-under-4-months", group: "context", question: "tank younger than 4 months?", p: [0.8, 0.4, 0.4, 0.1, 0.6, 0.2, 0.4, 0.2, 0.6, 0.6, 0.8] },
    { id: "ctx-co2-unstable", group: "context", question: "CO2 on a failing or changing supply, or none with strong light?", p: [0.2, 0.2, 0.4, 0.2, 0.2, 0.8, 0.8, 0.2, 0.4, 0.1, 0.1] },
    { id: "ctx-photoperiod-long", group: "context", question: "more than 9 h of light or direct sun?", p: [0.1, 0.4, 0.6, 0.4, 0.6, 0.2, 0.2, 0.6, 0.6, 0.8, 0.1] },
    { id: "ctx-po4-low", group: "context", question: "PO4 < 0.2 mg/L with strong light?", p: [0.1, 0.2, 0.2, 0.1, 0.2, 0.1, 0.1, 0.8, 0.4, 0.1, 0.1] },
    { id: "ctx-no3-near-zero", group: "context", question: "NO3 < 2 mg/L?", p: [0.1, 0.6, 0.2, 0.1, 0.2, 0.1, 0.1, 0.2, 0.2, 0.1, 0.1] },
    { id: "ctx-organics-high", group: "context", question: "dirty substrate, dying leaves, overfeeding?", p: [0.2, 0.6, 0.4, 0.2, 0.1, 0.6, 0.6, 0.1, 0.2, 0.4, 0.6] },
  ],
}
