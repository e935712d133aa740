import { METRIC, type Settings } from '../household/settings.ts'
import { tankById } from '../household/tanks.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { zoneClock } from '../time/zone.ts'
import { changesToPass } from '../water/lab/changes.ts'
import { judgeLab, kitsAgainstLab, labResultsOf } from '../water/lab/judge.ts'
import { columnsEntry, guessColumns, isLabTable, knownColumns, missingOf, type ColumnMap } from './columns.ts'
import { guessDayOrder, instantFromCells } from './dates.ts'
import { knownNames, type KnownNames } from './names.ts'
import { faultsOf } from './problems.ts'
import { readLab, readRows } from './read-rows.ts'
import { sampleDateOf } from './sample-date.ts'
import { readTable, type Table } from './table.ts'
import { figureOfCell, mgPerLabUnit, writesCommas } from './values.ts'

const settings: Settings = { timeZone: 'Europe/Lisbon', units: METRIC, clock: zoneClock('Europe/Lisbon') }
const now = Date.parse('2026-06-30T12:00:00Z')

function house(...contents: Content[]): Journal {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const tank = (tankId: string, name: string): Content => ({
    kind: 'tank-setup',
    happened: '2026-01-01T12:00:00Z',
    tankId,
    name,
    water: 'marine',
    role: 'display',
    profile: 'reef-sps',
    sheet: { shape: { kind: 'known', litres: 200 } },
  })
  for (const content of [tank('hall', 'Hall reef'), tank('frag', 'Frag tub'), ...contents])
    journal.add([record(content)])
  return journal
}
const table = (text: string): Table => {
  const read = readTable(text)
  if ('problem' in read) throw new Error(read.problem)
  return read
}
const rows = (text: string, journal = house(), change: Partial<ColumnMap> = {}) => {
  const read = table(text)
  const map = { ...guessColumns(read), ...change }
  return readRows({
    table: read,
    map: { ...map, dayOrder: map.dayOrder ?? 'dmy' },
    tank: tankById(journal, 'hall')!,
    context: { journal, settings, now },
  })
}
const values = (read: ReturnType<typeof rows>) =>
  read.readings.map(({ parameter, result, happened }) => [
    parameter,
    result.kind === 'value' ? Number(result.value.toFixed(4)) : result,
    happened,
  ])

describe('a table', () => {
  test('by comma, semicolon or tab, with a title above it and a mark at its beginning', () => {
    expect(table('\ufeffMy tank\n\ndate;NO3\n1.3.2026;"1,5"')).toEqual({
      header: ['date', 'NO3'],
      headerLine: 3,
      above: [{ line: 1, cells: ['My tank'] }],
      rows: [{ line: 4, cells: ['1.3.2026', '1,5'] }],
    })
    expect(table('date\tNO3\n2026-03-01\t2').header).toEqual(['date', 'NO3'])
    expect(readTable('only a line')).toHaveProperty('problem')
    expect(readTable('a,b')).toHaveProperty('problem')
  })
  test('what its columns hold is guessed by name, unit and content', () => {
    const guess = (text: string) => guessColumns(table(text)).columns
    expect(guess('When,Salinity (SG),Temp °F,KH meq/L,NO3-N,PO4,remarks\n2026-03-01,1.025,78,3,1,0.05,x')).toEqual([
      'date',
      'of:salinity:sg',
      'of:temp:f',
      'of:alk-kh:meq',
      'of:no3:N',
      'of:po4:PO4',
      'note',
    ])
    expect(guess('Element;Result;Unit\nK;380;mg/l')).toEqual(['name', 'value', 'unit'])
    expect(guess('x,Alkalinity\n2026-03-01,8')).toEqual(['date', 'of:alk-kh:dkh'])
  })
  test('what is missing is asked, and a table like it is known afterwards', () => {
    const read = table('a,b\n1,2')
    expect(missingOf(guessColumns(read), false)).toMatch(/which column holds a figure/)
    expect(missingOf({ columns: ['ignore', 'of:no3:NO3'], dayOrder: 'ymd' }, false)).toMatch(/the date/)
    expect(missingOf({ columns: ['date', 'of:no3:NO3'], dayOrder: null }, false)).toMatch(/day or the month/)
    const map: ColumnMap = { columns: ['date', 'of:no3:NO3'], dayOrder: 'dmy' }
    const journal = house(columnsEntry(read, map, 'dmy', '2026-06-01T12:00:00Z'))
    expect(knownColumns(journal, table('a,b\n3,4'))).toEqual(map)
    expect(knownColumns(journal, table('a,c\n3,4'))).toBeNull()
  })
})

describe('dates', () => {
  const at = (date: string, time = '', order: 'dmy' | 'mdy' | 'ymd' = 'dmy') => {
    const ms = instantFromCells(date, time, order, settings.clock)
    return ms === null ? null : new Date(ms).toISOString().slice(0, 16)
  }
  test('are the household’s own time: Lisbon is an hour ahead in summer', () => {
    expect(at('1.6.2026 18:30')).toBe('2026-06-01T17:30')
    expect(at('6/1/26', '6:30 pm', 'mdy')).toBe('2026-06-01T17:30')
    expect(at('2026-06-01', '18:30')).toBe('2026-06-01T17:30')
    expect(at('2026-01-15')).toBe('2026-01-15T12:00')
    expect(at('2026-06-01T18:30:00Z')).toBe('2026-06-01T18:30')
    expect([at('31.2.2026'), at('soon'), at('1.6.2026', 'noon')]).toEqual([null, null, null])
  })
  test('day or month first is told from the column, or asked', () => {
    expect(guessDayOrder(['1/6/2026', '13/6/2026'])).toBe('dmy')
    expect(guessDayOrder(['1/6/2026', '1/13/2026'])).toBe('mdy')
    expect(guessDayOrder(['1/6/2026', '2/6/2026'])).toBeNull()
    expect(guessDayOrder(['1.6.2026'])).toBe('dmy')
  })
})

test('figures of cells: commas, not found, under a limit', () => {
  expect(writesCommas(['1,5', '20'])).toBe(true)
  expect(writesCommas(['1,500', '20'])).toBe(false)
  expect(writesCommas(['1,5', '2.5'])).toBe(false)
  expect(figureOfCell('1,5', true)).toEqual({ value: 1.5 })
  expect(figureOfCell('< 0,02', true)).toEqual({ below: 0.02 })
  expect(figureOfCell('n.d.', false)).toEqual({ below: null })
  expect(figureOfCell('ten', false)).toBeNull()
  expect([mgPerLabUnit('µg/L'), mgPerLabUnit('mg / l'), mgPerLabUnit('')]).toEqual([1e-3, 1, null])
})

describe('readings of a spreadsheet', () => {
  test('a column each, in its own unit, empty cells passed over', () => {
    const read = rows('date;tank;NO3-N;KH meq/L;Temp °F\n1.6.2026 12:00;Frag tub;2;3;77\n2.6.2026 12:00;;;3,1;')
    expect(read.problems).toEqual([])
    expect(values(read)).toEqual([
      ['no3', 8.8536, '2026-06-01T11:00:00.000Z'],
      ['alk-kh', 8.4, '2026-06-01T11:00:00.000Z'],
      ['temp', 25, '2026-06-01T11:00:00.000Z'],
      ['alk-kh', 8.68, '2026-06-02T11:00:00.000Z'],
    ])
    expect(read.readings.map(({ tankId, origin }) => [tankId, origin])).toEqual([
      ['frag', 'file'],
      ['frag', 'file'],
      ['frag', 'file'],
      ['hall', 'file'],
    ])
  })
  test('a row a test, and rows that cannot be read are told by their line', () => {
    const read = rows(
      'date,parameter,value,unit\n2026-06-01,nitrate,12,mg/l\n2026-06-01,moonlight,3,\nnever,nitrate,1,\n2026-06-01,alk,82,dkh\n2027-01-01,nitrate,1,\n2026-06-02,nitrate,ten,mg/l\n2026-06-03,phosphate,<0.02,mg/l',
    )
    expect(values(read)).toEqual([
      ['no3', 12, '2026-06-01T11:00:00.000Z'],
      ['po4', { kind: 'below', limit: 0.02 }, '2026-06-03T11:00:00.000Z'],
    ])
    expect(read.problems.map(({ line, message }) => [line, message])).toEqual([
      [4, expect.stringMatching(/no date/)],
      [5, expect.stringMatching(/outside what is plausible/)],
      [6, expect.stringMatching(/lies ahead/)],
      [7, expect.stringMatching(/no figure/)],
    ])
    expect(read.unknown).toEqual(['moonlight'])
  })
  test('a file that has grown is brought in again without doubling', () => {
    const text = 'date,NO3\n2026-06-01,12\n2026-06-02,11'
    const first = rows(text)
    const again = rows(`${text}\n2026-06-03,10`, house(...first.readings))
    expect([again.readings.length, again.same]).toEqual([1, 2])
  })
})

const SHEET = `Element;Result;Unit
Potassium (K);352;mg/l
Calcium;431;mg/l
Magnesium;1,34;g/l
Strontium;8,9;mg/l
Boron;4,1;mg/l
Bromine;70;mg/l
Iodine;22;µg/l
Copper;14;µg/l
Tin;n.d.;µg/l
Phosphorus;18;µg/l
Vibranium;1;µg/l
Zinc;4;`

describe('a lab’s sheet', () => {
  const sampledAt = Date.parse('2026-06-20T12:00:00Z')
  const kit: Content = {
    kind: 'kit-setup',
    happened: '2026-01-02T12:00:00Z',
    kitId: 'kk',
    name: 'potassium drops',
    parameter: 'k',
    uncertainty: { abs: 20 },
  }
  const own: Content = {
    kind: 'reading',
    happened: '2026-06-20T09:00:00Z',
    tankId: 'hall',
    parameter: 'k',
    result: { kind: 'value', value: 400 },
    unit: 'mg/L',
    uncertainty: 20,
    kitId: 'kk',
  }
  const salty: Content = {
    kind: 'reading',
    happened: '2026-06-19T12:00:00Z',
    tankId: 'hall',
    parameter: 'salinity',
    result: { kind: 'value', value: 34 },
    unit: 'psu',
  }
  const journal = house(kit, own, salty)
  const read = table(SHEET)
  const map = guessColumns(read)
  const tank = tankById(journal, 'hall')!
  const lab = readLab({ table: read, map, tank, context: { journal, settings, now }, sampledAt, usualUnit: '' })

  test('is known as one, converted to mg/L, and its readings go beside it', () => {
    expect(isLabTable(read, map)).toBe(true)
    expect(isLabTable(table('parameter,value\nnitrate,1\nphosphate,2'), map)).toBe(false)
    const of = (id: string) => lab.result!.results.find(({ element }) => element === id)
    expect(of('mg')).toEqual({ element: 'mg', mgPerL: 1340 })
    expect(of('sr')!.mgPerL).toBeCloseTo(8.9, 9)
    expect(of('cu')!.mgPerL).toBeCloseTo(0.014, 9)
    expect(of('sn')).toEqual({ element: 'sn' })
    // 18 µg/L of phosphorus are 0.055 mg/L of phosphate.
    expect(
      lab.readings.map(({ parameter, result, origin }) => [
        parameter,
        result.kind === 'value' && Number(result.value.toFixed(3)),
        origin,
      ]),
    ).toEqual([
      ['k', 352, 'lab'],
      ['ca', 431, 'lab'],
      ['mg', 1340, 'lab'],
      ['po4', 0.055, 'lab'],
    ])
    expect(lab.problems.map(({ line, message }) => [line, message])).toEqual([
      [13, expect.stringMatching(/no unit; expected mg\/L or µg\/L/)],
    ])
  })
  test('is held against sea water of the tank’s salinity and the tank’s band', () => {
    const kept = house(kit, own, salty, lab.result!, ...lab.readings)
    const judged = judgeLab(kept, tank, labResultsOf(kept, 'hall')[0]!)
    expect(judged).toMatchObject({ salinityPsu: 34, isSalinityKnown: true })
    const said = Object.fromEntries(judged.elements.map(({ element, state, mend }) => [element.id, [state, mend]]))
    expect(said).toMatchObject({
      k: ['low', 'salt'],
      ca: ['fine', null],
      cu: ['high', 'find-source'],
      i: ['fine', null],
      sn: ['not-found', null],
      p: ['fine', null],
    })
    expect(judged.elements.find(({ element }) => element.id === 'br')!.share).toBeCloseTo(70 / (68.9 * (34 / 35)), 9)
    // What is off stands first.
    expect(judged.elements.slice(0, 2).map(({ element }) => element.id)).toEqual(['k', 'cu'])
  })
  test('shows a kit that reads something else of the same water', () => {
    const kept = house(kit, own, salty, lab.result!, ...lab.readings)
    expect(kitsAgainstLab(kept, 'hall', sampledAt)).toEqual([
      { parameterId: 'k', kit: 400, lab: 352, differs: true, kitName: 'potassium drops' },
    ])
  })
})

describe('a lab’s file as labs send it', () => {
  const HEADED = [
    'Water analysis of the lab;;',
    'Order;A-1023;',
    'Report date;12.06.2026;',
    'Sample taken;09.06.2026 10:30;',
    'Tank;Hall reef;',
    '',
    'Element;Result;Unit',
    'Alkalinity (KH);7,8;dKH',
    'Potassium (K);352;mg/l',
    'P;0,02;mg/l',
    'Moonstuff;3;mg/l',
    'Zinc;1,5;µg/l',
  ].join('\n')
  const hall = () => tankById(house(), 'hall')!
  const lab = (text: string, names = new Map() as KnownNames, headerLine?: number) => {
    const read = readTable(text, headerLine) as Table
    return readLab({
      table: read,
      map: guessColumns(read),
      tank: hall(),
      context: { journal: house(), settings, now },
      sampledAt: now,
      usualUnit: '',
      names,
    })
  }

  test('lines above the table are passed over, and the sample’s date is taken from them, not the report’s', () => {
    const read = table(HEADED)
    expect([read.header, read.headerLine]).toEqual([['Element', 'Result', 'Unit'], 7])
    expect(guessColumns(read).columns).toEqual(['name', 'value', 'unit'])
    expect(sampleDateOf(read, -1, settings.clock)).toEqual({ ms: Date.parse('2026-06-09T09:30:00Z') })
  })

  test.each([
    ['Sampled on: 2026-06-09', '2026-06-09T11:00:00Z'],
    ['Date: 2026-06-08;Received: 2026-06-09', '2026-06-08T11:00:00Z'],
  ])('%s', (line, expected) => {
    expect(sampleDateOf(table(`${line}\nElement;Result\nK;380`), -1, settings.clock)).toEqual({
      ms: Date.parse(expected),
    })
  })

  test('a date that could be two days is asked about; one of the report alone is none', () => {
    const of = (line: string) => sampleDateOf(table(`${line}\nElement;Result\nK;380`), -1, settings.clock)
    expect(of('Sample date;03/04/2026')).toEqual({ unclear: '03/04/2026' })
    expect(of('Report date;2026-06-09')).toBeNull()
    expect(of('no date at all;x')).toBeNull()
  })

  test('a column of dates is the sample’s too', () => {
    const read = table('Sampled;Element;Result;Unit\n2026-06-01;K;380;mg/l')
    expect(sampleDateOf(read, guessColumns(read).columns.indexOf('date'), settings.clock)).toEqual({
      ms: Date.parse('2026-06-01T11:00:00Z'),
    })
  })

  test('the names may stand in a line that nobody would guess: it is pointed at', () => {
    const text = 'a;b;c\nwhat;how much;in\nK;380;mg/l'
    expect(table(text).headerLine).toBe(1)
    expect((readTable(text, 2) as Table).header).toEqual(['what', 'how much', 'in'])
    expect(readTable(text, 9)).toHaveProperty('problem')
  })

  test('“Alkalinity (KH)” is alkalinity; phosphorus is converted, and that is said', () => {
    const read = lab(HEADED)
    const value = (id: string) => {
      const found = read.readings.find(({ parameter }) => parameter === id)?.result
      return found?.kind === 'value' ? Number(found.value.toFixed(4)) : null
    }
    expect([value('alk-kh'), value('k'), value('po4')]).toEqual([7.8, 352, 0.0613])
    expect(read.notes).toEqual(['phosphorus 0.02 mg/L is 0.0613 mg/L of phosphate (× 3.066)'])
    expect(read.unknown).toEqual(['Moonstuff'])
    expect(read.problems).toEqual([])
  })

  test('a name that was assigned once is known in every file from then on', () => {
    const read = table(HEADED)
    const journal = house(columnsEntry(read, guessColumns(read), 'dmy', '2026-06-12T12:00:00Z', { Moonstuff: 'el:mo' }))
    const names = knownNames(journal)
    expect(names.get('moonstuff')).toBe('el:mo')
    expect(lab(HEADED, names).unknown).toEqual([])
    expect(lab('Element;Result;Unit\nMOONSTUFF;4;µg/l', names).result!.results).toMatchObject([{ element: 'mo' }])
    expect(lab(HEADED, new Map([['moonstuff', 'ignore' as const]])).unknown).toEqual([])
  })

  test('phosphorus and phosphate that disagree are one fault, and neither is taken as a reading', () => {
    const read = lab('Element;Result;Unit\nP;0.02;mg/l\nPO4;0.2;mg/l\nK;380;mg/l')
    expect(read.problems).toEqual([
      { line: 1, message: 'two rows for phosphate disagree: neither is taken as a reading' },
    ])
    expect(read.readings.map(({ parameter }) => parameter)).toEqual(['k'])
    expect(lab('Element;Result;Unit\nP;0.02;mg/l\nPO4;0.06;mg/l').problems).toEqual([])
  })

  test('two columns of one parameter that disagree are one fault for the whole file', () => {
    const read = rows('date;NO3;NO3-N\n2026-06-01;10;2.26\n2026-06-02;10;10\n2026-06-03;8;8')
    expect(read.problems).toEqual([{ line: 3, message: expect.stringMatching(/^“NO3” and “NO3-N” disagree/) }])
    expect(values(read).map(([, value]) => value)).toEqual([10])
  })

  test('rows with the same fault are told once, with how many', () => {
    const read = rows('date;NO3\nmonday;1\ntuesday;2\nwednesday;3\n2026-06-01;ten')
    expect(faultsOf(read.problems).map(({ line, count }) => [line, count])).toEqual([
      [2, 3],
      [5, 1],
    ])
  })
})

test('changes of water are worked out by what the new water holds', () => {
  const journal = house()
  const result: Content = {
    kind: 'lab-result',
    happened: '2026-06-01T12:00:00Z',
    tankId: 'hall',
    results: [
      { element: 'cu', mgPerL: 0.04 },
      { element: 'sr', mgPerL: 4 },
    ],
  }
  const kept = house(result)
  const judged = judgeLab(kept, tankById(journal, 'hall')!, labResultsOf(kept, 'hall')[0]!)
  const of = (id: string) => judged.elements.find(({ element }) => element.id === id)!
  const copper = of('cu')
  const high = copper.element.highMgPerL!
  // (1 − 0.1)^n × 0.04 has to come to where it is let pass.
  expect(changesToPass(copper, 0)).toEqual({ weeks: Math.ceil(Math.log(high / 0.04) / Math.log(0.9)), toMgPerL: high })
  expect(changesToPass(copper, 0.04)).toHaveProperty('cannot')
  expect(changesToPass(of('sr'), 8)).toMatchObject({ toMgPerL: of('sr').seaMgPerL * 0.7 })
  expect(changesToPass(of('sr'), 0)).toHaveProperty('cannot')
})
