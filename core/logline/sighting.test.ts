import { arrival } from '../journal/testing.ts'
import { household, kept } from './testing.ts'

const read = household({
  extra: [
    { ...arrival('plumbum', 'quar', 3, 1, 'Plumbum'), species: 'blue chromis' } as never,
    { ...arrival('school', 'quar', 4, 5, 'School'), species: 'green chromis' } as never,
    { ...arrival('lemon', 'quar', 4, 1, 'Lemon'), species: 'yellow coris' } as never,
  ],
})

/** What a line keeps, in short: "needle: +flashing −not-eating 3"; of a line that asks, "asks". */
function short(line: string): string {
  const back = read(line)
  if (back.state !== 'keep') return back.state === 'choose' ? 'asks' : back.state
  return kept(back)
    .map((content) => {
      if (content.kind !== 'sighting') return content.kind
      const signs = content.signs.map(({ sign, present }) => `${present ? '+' : '−'}${sign}`)
      return [
        `${content.animalIds.join('&')}:`,
        ...signs,
        ...(content.appetite === undefined ? [] : [content.appetite]),
      ].join(' ')
    })
    .join(' | ')
}

describe('signs that are there', () => {
  test.each([
    ['needle scratching', 'needle: +flashing'],
    ['needle scratches a bit', 'needle: +flashing'],
    ['needle white spot on the tail', 'needle: +white-grains-countable'],
    ['needle still hiding', 'needle: +hides-corner'],
    ['needle hiding scratching', 'needle: +hides-corner +flashing'],
    ['needle more white spots', 'needle: +white-grains-countable'],
    ['needle has a cloudy eye', 'needle: +eye-cloudy-one'],
    ['needle both eyes cloudy', 'needle: +eye-cloudy-both'],
    ['needle not eating, hiding', 'needle: +not-eating +hides-corner 0'],
    ["needle isn't eating", 'needle: +not-eating 0'],
    ['needle stopped eating and hides', 'needle: +not-eating +hides-corner 0'],
    ['needle spots come and go', 'needle: +spots-come-and-go'],
    ['needle eats but thin', 'needle: +eats-but-thin 3'],
    ['needle lying down', 'needle: +lethargic-bottom'],
  ])('%s', (line, expected) => expect(short(line)).toBe(expected))
})

describe('signs that are denied, gone or healed', () => {
  test.each([
    ['needle white spots gone', 'needle: −white-grains-countable'],
    ["needle isn't scratching", 'needle: −flashing'],
    ['needle isn’t scratching', 'needle: −flashing'],
    ['needle free of white spots', 'needle: −white-grains-countable'],
    ['needle cloudy eye healed', 'needle: −eye-cloudy-one'],
    ['needle no longer hiding', 'needle: −hides-corner'],
    ['needle not hiding any more', 'needle: −hides-corner'],
    ['needle stopped scratching', 'needle: −flashing'],
    ['needle came out of hiding', 'needle: −hides-corner'],
    ['needle no sign of dust', 'needle: −fine-dust-sheen'],
    ["needle doesn't hide", 'needle: −hides-corner'],
    ['needle without slime', 'needle: −patchy-mucus-film'],
    ['needle white spots: none', 'needle: −white-grains-countable'],
    ['needle white spots no longer visible', 'needle: −white-grains-countable'],
    ["needle can't see any white spots", 'needle: −white-grains-countable'],
    ['needle eye no longer cloudy', 'needle: −eye-cloudy-one'],
    ['needle white spots went away', 'needle: −white-grains-countable'],
    ['needle no white spots, dust or slime', 'needle: −white-grains-countable −fine-dust-sheen −patchy-mucus-film'],
    ['needle neither white spots nor dust', 'needle: −white-grains-countable −fine-dust-sheen'],
    ['needle white spots and dust both gone', 'needle: −white-grains-countable −fine-dust-sheen'],
    ['needle hasn’t been scratching', 'needle: −flashing'],
    ['needle slime-free today', 'needle: −patchy-mucus-film'],
    ['needle never hides', 'needle: −hides-corner'],
    ['needle white spots all gone now', 'needle: −white-grains-countable'],
    ['needle 0 white spots', 'needle: −white-grains-countable'],
  ])('%s', (line, expected) => expect(short(line)).toBe(expected))
})

describe('signs that are lessened or doubtful are asked about', () => {
  test.each([
    'needle less scratching',
    'needle fewer white spots',
    'needle white spots almost gone',
    'needle cloudy eye healing',
    'needle hardly hiding',
    'needle white spots gone from the left flank',
    'needle white spots not gone',
    "needle hasn't stopped scratching",
    'needle no new white spots',
    'needle not scratching much',
    'needle maybe scratching',
    'needle white spots?',
    'needle white spots or dust',
    'needle no white spots and scratching',
    'needle white spots and dust gone',
    'needle no scratching, hiding',
    'needle eats less',
    'needle used to hide',
  ])('%s', (line) => expect(short(line)).toBe('asks'))
})

describe('mixed lines', () => {
  test.each([
    ['needle ate, no white spots', 'needle: −white-grains-countable 3'],
    ['needle scratching, no white spots', 'needle: +flashing −white-grains-countable'],
    ['needle no white spots but scratching', 'needle: −white-grains-countable +flashing'],
    ['needle no white spots, scratching', 'needle: −white-grains-countable +flashing'],
    ['needle white spots gone, still hiding', 'needle: −white-grains-countable +hides-corner'],
    ['needle scratching not hiding', 'needle: +flashing −hides-corner'],
    ['needle not hiding, breathing fast', 'asks'],
    ['needle no longer hiding and is eating well', 'needle: −hides-corner 4'],
  ])('%s', (line, expected) => expect(short(line)).toBe(expected))
})

describe('each clause belongs to the animals named nearest before it', () => {
  test.each([
    ['plumbum ate and lemon hiding', 'plumbum: 3 | lemon: +hides-corner'],
    ['lemon ate plumbum hiding', 'lemon: 3 | plumbum: +hides-corner'],
    ['lemon ate, plumbum and needle hiding', 'lemon: 3 | plumbum&needle: +hides-corner'],
    ['lemon hiding while plumbum ate, lemon scratching', 'lemon: +hides-corner +flashing | plumbum: 3'],
    ['plumbum no white spots and lemon scratching', 'plumbum: −white-grains-countable | lemon: +flashing'],
    ['lemon chased by plumbum', 'lemon: +chased'],
    ['needle ate, plum hiding', 'needle: 3 | plum: +hides-corner'],
    ['plumbum chased lemon', 'unclear'],
    ['plumbum ate and lemon', 'unclear'],
    ['plumbum lemon hiding', 'asks'],
    ['plumbum ate, the others hiding', 'unclear'],
    ['plumbum ate and lemon died', 'asks'],
  ])('%s', (line, expected) => expect(short(line)).toBe(expected))
})

test('each way that is offered can be kept at once, and says what it says', () => {
  for (const line of [
    'needle less scratching',
    'needle white spots?',
    'needle no white spots and scratching',
    'needle eats less',
    'needle white spots and dust gone',
    'needle ate, fewer white spots on the tail',
  ]) {
    const back = read(line)
    if (back.state !== 'choose') throw new Error(`${line}: ${back.state}`)
    for (const { label, text } of back.choices) {
      const [content] = kept(read(text))
      if (content?.kind !== 'sighting') throw new Error(`${text}: ${content?.kind}`)
      const denied = /^not: (.+)$/.exec(label)
      if (denied) expect(content.signs.filter(({ present }) => !present).length).toBeGreaterThan(0)
      if (label.endsWith(': seen')) expect(content.signs.filter(({ present }) => present).length).toBeGreaterThan(0)
      // Nothing that was typed is lost.
      expect(content.words).toContain(line.split(/[ ,]+/).at(-1)!.replace('?', ''))
    }
  }
})

test('the same sign said twice otherwise is not kept', () => {
  expect(read('needle scratching, not scratching')).toMatchObject({ state: 'unclear' })
  expect(read('needle is scratching but no scratching')).toMatchObject({ state: 'unclear' })
})

test('whether it was seen at all is kept as a head count', () => {
  expect(kept(read('needle not seen'))[0]).toMatchObject({ seen: false, signs: [] })
})

describe('how many of a group, and how wide a sore is', () => {
  const said = (line: string) => {
    const back = read(line)
    const [content] = back.state === 'keep' ? kept(back) : []
    return content?.kind === 'sighting' ? [content.affected ?? null, content.lesion ?? null] : back.state
  }
  test.each([
    ['needle open sore 8 mm, worse', [null, { mm: 8, change: 'worse' }]],
    ['school 2 of 5 open sore', [2, null]],
    ['school lying still, 3 of them', [3, null]],
    ['school 6 of 5 open sore', 'unclear'],
    ['needle sore 8.5 mm worse', [null, { mm: 8.5, change: 'worse' }]],
    ['needle sore better', [null, { change: 'better' }]],
    ['needle lying still', [null, null]],
  ])('%s', (line, expected) => expect(said(line)).toEqual(expected))
})
