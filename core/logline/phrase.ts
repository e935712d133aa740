import type { Sign } from '../catalogue/sign.ts'
import { signsNamed, type SignMatch } from './sign-words.ts'

/** Whether a sign is there, by the words around its name; `ask` where they leave it open. */
export type Polarity = 'present' | 'absent' | 'ask'

export interface SaidSign {
  /** The signs the words could mean; one where they are clear. */
  signs: readonly Sign[]
  polarity: Polarity
  /** The name as it was typed. */
  typed: string
  /** Where the words that deny it stand; null where nothing denies it. */
  denied: 'before' | 'after' | null
  /** Said outright ("is scratching", "white spots present"): a denial before it does not carry over to it. */
  outright: boolean
}

/** What one phrase of a sighting says. */
export interface PhraseRead {
  signs: SaidSign[]
  /** 0…4 as in a sighting; null where nothing is said of it. */
  appetite: number | null
  /** It eats, but less, hardly, or the words deny it halfway: how much is for the keeper to say. */
  appetiteUnclear: boolean
  /** Head count: whether it was seen; null where nothing is said of it. */
  seen: boolean | null
}

const set = (words: string) => new Set(words.split(' '))

const NOT_WORDS =
  'not isnt arent wasnt werent doesnt dont didnt hasnt havent hadnt aint cant cannot couldnt wont wouldnt never'
const NOT = set(NOT_WORDS)
/** Deny what comes after them. */
const DENY_NEXT = set(
  `${NOT_WORDS} no without none neither nor zero 0 lacks lacking lost stopped quit ceased nothing free clear cleared clean rid out recovered cured healed`,
)
/** Of those, the words that deny only with "of" or "from" after them. */
const DENY_WITH_OF = set('free clear cleared clean rid out recovered cured healed')
/** Deny what came before them. */
const DENY_LAST = set(
  'gone healed disappeared vanished cleared resolved absent none no 0 zero nil stopped ended over cured away off free',
)
/** Of those, the words that deny only after a verb of leaving: "went away", "fell off". */
const LEAVING = set('went fell dropped come came fallen gone')
const SHOWING = set('there seen visible present showing here found noticed noticeable')
/** May stand between a denial and what it denies. */
const LIGHT = set(
  'any its his her their the a an sign signs of from trace traces more longer visible obvious seen see seeing show showing shows have has had having be been being got get at all both single really actually today now yet anymore is are was were do does did completely fully totally entirely quite it to further',
)
const LESSENED = set(
  'less fewer lessened lessening reduced reducing smaller shrinking shrunk fading lighter milder weaker better improving improved improves healing heals clearing subsiding easing eased hardly barely rarely scarcely seldom almost nearly mostly partly partially half decreasing decreased decreases dwindling recovering least fewest diminished diminishing slowing occasional occasionally closed closing regrown regrowing normal normally ok okay fine',
)
const UNSURE = set(
  'maybe perhaps possibly probably might may could seems seem suspect suspected unsure think guess if previously formerly unclear apparently presumably doubt doubtful questionable',
)
const OPEN_PAIRS = new Set([
  'looks like',
  'look like',
  'not sure',
  'used to',
  'had been',
  'last week',
  'last month',
  'not much',
  'not many',
  'not so',
  'not as',
  'not very',
  'not too',
  'not really',
  'not only',
  'not just',
  'not always',
  'not constantly',
  'no new',
  'no further',
  'no other',
  'no additional',
  'no fresh',
  'more than',
  'going away',
  'going down',
  'wearing off',
])
/** Leave open of how much of a sign "gone" is said: "gone from the left flank". */
const PARTLY = set('from on at except only where left right some most one side')
/** Behind a denied sign these say that some of it is left: "not scratching much". */
const SOMEWHAT = set('much many often constantly always everywhere')
const AUXILIARY = set('is are was were has have now still shows showing started began again also')

/** The words of a phrase as they are compared: lower case, without apostrophes, punctuation and what stands in brackets. */
export const plainWords = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/\([^)]*\)?/g, ' ')
    .replace(/[’'`]/g, '')
    .replace(/\bw\/o\b/g, 'without')
    .replace(/[!?:.=]+(?=\s|$)/g, ' ')
    .replace(/[!?:=()"“”]/g, ' ')
    .replace(/(?<=[a-z])-(?=[a-z])/g, ' ')
    .split(/[\s/]+/)
    .filter(Boolean)

const NOT_EATING =
  /\b(?:(?:is|are|was|were|has|have|had|does|do|did|will|would) )?(?:not|no longer|never|isnt|arent|wasnt|werent|hasnt|havent|hadnt|doesnt|dont|didnt|wont|wouldnt|cant|stopped|quit|ceased) (?:been |yet |really )?(?:eat|eats|ate|eating|eaten|feed|feeds|feeding)\b|\b(?:ate|eats|eating) (?:nothing|none)\b/
const EATS_LESS =
  /\b(?:eats?|eating|ate|feeds|feeding) (?:\w+ )?(?:less|little|poorly|badly|hardly|slowly)\b|\b(?:hardly|barely|scarcely|rarely|less|seldom|almost|nearly) (?:eats?|eating|ate|feeds|feeding)\b|\bless appetite\b/
const EATS_AGAIN = /\b(?:eats|eating|ate|feeding) again\b|\b(?:started|began|back to|resumed) (?:eating|feeding|eat)\b/
const EATS = /(?<!\bto )\b(?:ate|eats|eat|eating|eaten|feeds|feeding)\b|^(?:was )?fed(?: some| a bit)?$/

const APPETITE: readonly [RegExp, number][] = [
  [/\b(?:ate|eats|eating|eaten|feeds|feeding) (?:all|everything|well|heartily|greedily|lots)\b/, 4],
  [/\b(?:spits|spat|spitting)\b/, 2],
  [/\b(?:looks|looked|looking) at (?:the |its |his |her )?food\b/, 1],
  [
    /\b(?:ignores|ignored|ignoring) (?:the |its |his |her )?food\b|\boff (?:its |his |her )?food\b|\brefus(?:ed|es|ing)\b/,
    0,
  ],
  [/\bno (?:appetite|interest in food)\b/, 0],
]
const ATE = 3
const REFUSED = 0

const hasOpenPair = (words: readonly string[]) => words.some((word, i) => OPEN_PAIRS.has(`${word} ${words[i + 1]}`))
const isOpen = (words: readonly string[]) =>
  words.some((word) => LESSENED.has(word) || UNSURE.has(word)) || hasOpenPair(words)

/** Indices of words that deny what comes after them. */
function denialsAhead(words: readonly string[]): number[] {
  return words.flatMap((word, i) => {
    if (!DENY_NEXT.has(word)) return []
    if (DENY_WITH_OF.has(word) && words[i + 1] !== 'of' && words[i + 1] !== 'from') return []
    return [i]
  })
}

/** What the words after a sign say of it: how often it is denied, and whether that is of the whole of it. */
function denialsBehind(words: readonly string[]): { count: number; isPartial: boolean; isShown: boolean } {
  let count = 0
  let isShown = false
  let first = -1
  let isPartial = false
  words.forEach((word, i) => {
    const before = words[i - 1] ?? ''
    if (NOT.has(word)) {
      count++
      if (first < 0) first = i
      const rest = words.slice(i + 1).find((next) => !LIGHT.has(next) || SHOWING.has(next))
      // "not worse": says nothing of whether it is there.
      if (rest !== undefined && !SHOWING.has(rest) && !DENY_LAST.has(rest)) isPartial = true
    } else if (word === 'away' || word === 'off') {
      if (!LEAVING.has(before)) return
      if (!DENY_LAST.has(before)) count++
      if (first < 0) first = i - 1
    } else if (DENY_LAST.has(word)) {
      count++
      if (first < 0) first = i
    } else if (SHOWING.has(word) && count === 0) isShown = true
  })
  if (count > 0) {
    const lead = words.slice(0, Math.max(0, first))
    if (lead.some((word) => !LIGHT.has(word) && !LEAVING.has(word))) isPartial = true
    if (words.slice(first + 1).some((word) => PARTLY.has(word))) isPartial = true
  }
  return { count, isPartial, isShown }
}

function readSign(
  lead: readonly string[],
  inside: readonly string[],
  tail: readonly string[],
  asked: boolean,
  isPhysical: boolean,
) {
  const front = [...lead, ...inside]
  const ahead = denialsAhead(front)
  const behind = denialsBehind(tail)
  const count = ahead.length + behind.count
  const last = ahead.at(-1)
  const isFar = last !== undefined && front.slice(last + 1).some((word) => !LIGHT.has(word) && !SHOWING.has(word))
  // A swelling that is down is less of it; a fish that lies down is not.
  const isDown = tail.at(-1) === 'down' && isPhysical
  const isSomewhat = count > 0 && tail.some((word) => SOMEWHAT.has(word))
  const open = isDown || isSomewhat || isOpen(front) || isOpen(tail) || asked || isFar || behind.isPartial || count > 1
  const polarity: Polarity =
    behind.isShown && count === 0 ? 'present' : open ? 'ask' : count === 1 ? 'absent' : 'present'
  return {
    polarity,
    denied: ahead.length > 0 ? ('before' as const) : behind.count > 0 ? ('after' as const) : null,
    outright: behind.isShown || lead.some((word) => AUXILIARY.has(word)),
  }
}

/** Signs whose own words deny something: "not eating". */
const OWN_DENIAL = new Set(['not-eating'])

/**
 * Reads one phrase: which signs it names and whether each is there, how the animal ate, whether it was seen. A sign that is
 * denied, gone or healed is absent; one that is lessened, doubted, or denied twice is left open.
 */
export function readPhrase(text: string): PhraseRead {
  const asked = text.includes('?')
  let joined = plainWords(text).join(' ')
  const isNotEating = NOT_EATING.test(joined)
  if (isNotEating) joined = joined.replace(NOT_EATING, 'not eating').trim()
  const words = joined === '' ? [] : joined.split(' ')
  const groups = signsNamed(words)
  const signs = readGroups(words, groups, asked)
  const refused = signs.some(({ signs: [sign], polarity }) => sign?.id === 'not-eating' && polarity === 'present')
  const eats = !isNotEating && (EATS.test(joined) || EATS_AGAIN.test(joined))
  const deniedEating = eats && groups.length === 0 && denialsAhead(words).length > 0
  const appetiteUnclear =
    (eats && (EATS_LESS.test(joined) || asked || deniedEating)) || (!eats && /\bless appetite\b/.test(joined))
  return {
    signs,
    appetiteUnclear,
    appetite: refused || isNotEating ? REFUSED : appetiteUnclear ? null : appetiteIn(joined, eats),
    seen: /^(?:was |were |is )?(?:not seen|unseen|not found)$/.test(joined)
      ? false
      : /^(?:was |were |is )?seen$/.test(joined)
        ? true
        : null,
  }
}

const appetiteIn = (joined: string, eats: boolean): number | null =>
  EATS_AGAIN.test(joined) ? ATE : (APPETITE.find(([pattern]) => pattern.test(joined))?.[1] ?? (eats ? ATE : null))

/** Each sign of a phrase by the words between it and its neighbours. */
function readGroups(words: readonly string[], groups: readonly SignMatch[][], asked: boolean): SaidSign[] {
  const said = groups.map((group, i): SaidSign => {
    const first = group[0]!
    const isFirst = i === 0
    const isLast = i === groups.length - 1
    const from = isFirst ? 0 : groups[i - 1]![0]!.to + 1
    const until = isLast ? words.length : groups[i + 1]![0]!.from
    const lead = words.slice(from, first.from)
    const tail = words.slice(first.to + 1, until)
    // Between two signs a denial belongs to the second: "scratching, not hiding" without its comma.
    const nextDenial = isLast ? -1 : tail.findIndex((word) => DENY_NEXT.has(word))
    const ownTail = nextDenial < 0 ? tail : tail.slice(0, nextDenial)
    const read = readSign(
      lead,
      first.between.map((at) => words[at]!),
      ownTail,
      asked,
      first.sign.kind === 'physical',
    )
    const isOwn = group.length === 1 && OWN_DENIAL.has(first.sign.id)
    return {
      signs: group.map(({ sign }) => sign),
      typed: words.slice(first.from, first.to + 1).join(' '),
      ...(isOwn
        ? {
            polarity: read.polarity === 'present' ? ('present' as const) : ('ask' as const),
            denied: null,
            outright: true,
          }
        : read),
    }
  })
  // A denial in front of several signs that nothing joins, or behind them: which of them it denies is not said.
  const isDenied = ({ denied }: SaidSign, where: SaidSign['denied']) => denied === where
  return said.map((sign, i) => {
    if (sign.denied !== null || sign.outright) return sign
    const openBefore = said.slice(0, i).some((one) => isDenied(one, 'before'))
    const openAfter = said.slice(i + 1).some((one) => isDenied(one, 'after'))
    return openBefore || openAfter ? { ...sign, polarity: 'ask' as const } : sign
  })
}
