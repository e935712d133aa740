import { amount, ofKind, one, ramped, wall, ward, window, type Ward } from '../testing/ward.ts'

describe('readings', () => {
  test('chelated: every day at eight on the wall, late after three hours, gone once read', () => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    const reads = ofKind(it, 4, '12:00', 'read')
    expect(reads[0]).toMatchObject({ title: 'Read copper', state: 'late', why: 'last 2.20, yesterday 08:00' })
    expect(reads.slice(0, 3).map(({ best }) => wall(it, best))).toEqual(['4 08:00', '5 08:00', '6 08:00'])
    it.read(4, '12:30', 2.2)
    expect(wall(it, ofKind(it, 4, '13:00', 'read')[0]!.best)).toBe('5 08:00')
  })

  test('a test that gave no plain number is a test done, though it proves nothing', () => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    it.write({
      kind: 'reading',
      ...it.at(4, '08:00'),
      tankId: 'quar',
      parameter: 'copper',
      result: { kind: 'above', limit: 2 },
      unit: 'mg/L',
    })
    expect(wall(it, ofKind(it, 4, '12:00', 'read')[0]!.best)).toBe('5 08:00')
    expect(it.plan(4, '12:00').clock.provenHours).toBe(0)
  })

  test('copper sulphate: twelve hours after the last, elapsed', () => {
    const it = ramped({ doseId: 'cu-ion-std' })
    it.read(3, '08:00', 0.18)
    const reads = ofKind(it, 3, '21:00', 'read')
    expect(reads[0]).toMatchObject({ state: 'late' })
    expect(reads.slice(0, 2).map(({ best }) => wall(it, best))).toEqual(['3 20:00', '4 08:00'])
  })

  test('after a low one, again within twelve hours', () => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    it.read(4, '08:00', 1.9)
    const [again] = ofKind(it, 4, '10:00', 'read')
    expect(again!.why).toBe('again within 12 h of the low 1.90')
    expect(window(it, again)).toEqual(['4 09:00', '4 14:00', '4 20:00'])
  })

  test('skipped with a word it is gone for that day; postponed it waits', () => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    const [read] = ofKind(it, 4, '09:00', 'read')
    it.write({
      kind: 'task',
      ...it.at(4, '09:00'),
      taskId: read!.id,
      tankId: 'quar',
      courseId: 'c',
      state: 'postponed',
      until: it.at(4, '20:00').happened,
      why: 'at work',
    })
    expect(ofKind(it, 4, '12:00', 'read')[0]).toMatchObject({ state: 'ahead', postponed: true })
    expect(ofKind(it, 4, '20:30', 'read')[0]!.state).toBe('due')
    it.write({
      kind: 'task',
      ...it.at(4, '21:00'),
      taskId: read!.id,
      tankId: 'quar',
      courseId: 'c',
      state: 'skipped',
      why: 'kit is empty',
    })
    expect(wall(it, ofKind(it, 4, '21:30', 'read')[0]!.best)).toBe('5 08:00')
  })
})

describe('redosing', () => {
  test('after a change: back to the target, the amount measured, and what it really makes', () => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    it.change(3, '18:00', 6)
    // 2.2 − 10 % = 1.98; 0.27 mg/L in 60 L is 16.2 mg, 1.62 mL, measured 1.6.
    const task = one(it, 3, '18:05', 'redose')!
    expect(amount(task)).toBe('1.6 mL → 2.247')
    expect(task).toMatchObject({
      title: 'Redose copper',
      why: 'after the 6 L change: the water is under 2.00',
      state: 'due',
    })
    expect(wall(it, task.notAfter)).toBe('3 19:00')
  })

  test('a small change that leaves the level in range waits until the day’s end', () => {
    const it = ramped()
    it.read(3, '08:00', 2.25)
    it.change(3, '18:00', 3)
    expect(one(it, 3, '18:05', 'redose')).toMatchObject({ why: 'after the 3 L change' })
    expect(wall(it, one(it, 3, '18:05', 'redose')!.notAfter)).toBe('4 06:00')
    it.dose(3, '18:10', 0.7)
    expect(one(it, 3, '18:15', 'redose')).toBeUndefined()
  })

  test('after a low reading at once; after a drift with the next visit', () => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    it.read(4, '08:00', 1.94)
    expect(one(it, 4, '08:10', 'redose')).toMatchObject({ why: 'the reading was under 2.00' })
    expect(amount(one(it, 4, '08:10', 'redose')!)).toBe('1.9 mL → 2.257')
    it.dose(4, '08:15', 1.9)
    it.read(5, '08:00', 2.1)
    expect(one(it, 5, '08:10', 'redose')).toMatchObject({
      title: 'Top copper up',
      why: 'falling: 2.10, nearer the low than the target',
    })
    it.read(6, '08:00', 2.13)
    expect(one(it, 6, '08:10', 'redose')).toBeUndefined()
  })

  test('no measured amount passes the high of the band', () => {
    const it = ramped({ doseId: 'cu-amine-std', start: {} })
    it.journal.add([
      {
        id: 'coarse',
        logged: it.at(0, '10:00').happened,
        content: {
          kind: 'product-change',
          ...it.at(0, '10:00'),
          productId: 'bottle',
          changes: { measure: { tool: 'cup', step: 5 } },
        },
      },
    ])
    it.read(3, '08:00', 0.36)
    // 4.2 mL would be 5 mL measured, 0.527: in the band. From 0.40, 3 mL would be 5, 0.567: over it.
    it.dose(0, '19:00', 15)
    it.read(4, '08:00', 0.4)
    const task = one(it, 4, '08:10', 'redose')!
    expect(task.dose).toMatchObject({ amount: 0, belowMeasurable: true })
  })

  test('over the band: a matched change back to the target, and the count goes on', () => {
    const it = ramped()
    it.read(3, '08:00', 2.2)
    it.read(4, '08:00', 2.7)
    const task = one(it, 4, '08:10', 'dilute')!
    // (2.7 − 2.25)/2.7 of 60 L.
    expect(task.change).toMatchObject({ litres: expect.closeTo(10), times: 1, toMgPerL: 2.25 })
    expect(task.why).toContain('The count goes on')
    expect(it.plan(4, '08:10').clock).toMatchObject({ state: 'running', provenHours: 24 })
    it.change(4, '09:00', 10)
    expect(one(it, 4, '09:05', 'dilute')).toBeUndefined()
  })
})

describe('the end', () => {
  /** Held by the book up to a morning. */
  function held(until: number, options: Parameters<typeof ward>[0] = {}): Ward {
    const it = ramped(options)
    for (let day = 2; day <= until; day++) it.read(day, '08:00', 2.2)
    return it
  }

  test('no signs, then move: it waits for what does not hold, and for the full count', () => {
    const it = held(15)
    for (let day = 8; day <= 14; day++) it.look(day, '19:00')
    const ahead = one(it, 15, '09:00', 'move')!
    expect(ahead).toMatchObject({ title: 'Move Needle and Burr', state: 'ahead', why: 'when the count is full' })
    expect(wall(it, ahead.best)).toBe('16 08:00')
    it.read(16, '08:00', 2.2)
    expect(one(it, 16, '09:00', 'move')).toMatchObject({
      state: 'due',
      waitsFor: ['no signs at the move', 'Observation tank is sterile and ≥ 3 m (10 ft) from any saltwater'],
    })
    it.look(16, '09:10')
    it.write({
      kind: 'task',
      ...it.at(16, '09:12'),
      taskId: `c/rule/tr-3/${it.plan(16, '09:11').clock.run}`,
      tankId: 'quar',
      courseId: 'c',
      state: 'done',
    })
    expect(one(it, 16, '09:15', 'move')).not.toHaveProperty('waitsFor')
  })

  test('a sign within two days is in the way; a shy fish is not', () => {
    const it = held(16)
    for (let day = 8; day <= 15; day++) it.look(day, '19:00')
    it.look(16, '08:30', 'hides-corner')
    expect(it.plan(16, '09:00').rules.find(({ id }) => id === 'tr-5')).toMatchObject({ state: 'holds' })
    it.look(16, '08:40', 'flashing')
    expect(it.plan(16, '09:00').rules.find(({ id }) => id === 'tr-5')).toMatchObject({
      state: 'broken',
      says: 'Burr scratching, today 08:40',
    })
    expect(it.plan(16, '09:00').warnings.map(({ text }) => text)).toEqual([
      'Burr: scratching, seen today 08:40. No move out of the medicine while signs show.',
    ])
  })

  test('moved: observation begins, a sign starts it again, and after fourteen clear days the course can end', () => {
    const it = held(16)
    for (const animalId of ['needle', 'burr'])
      it.write({
        kind: 'move',
        ...it.at(16, '18:00'),
        animalId,
        fromTankId: 'quar',
        toTankId: 'obs',
        cleanTransfer: true,
      })
    const moved = it.plan(17, '09:00')
    expect(moved).toMatchObject({
      phase: 'observing',
      observation: { tankId: 'obs', leastDays: 14, kickedBackAt: null },
    })
    expect(ofKind(it, 17, '09:00', 'read', 'redose', 'move')).toEqual([])
    expect(wall(it, one(it, 17, '09:00', 'close')!.notBefore)).toBe('30 18:00')
    it.write({
      kind: 'sighting',
      ...it.at(20, '19:00'),
      tankId: 'obs',
      animalIds: ['burr'],
      signs: [{ sign: 'white-grains-countable', present: true }],
    })
    expect(wall(it, one(it, 21, '09:00', 'close')!.notBefore)).toBe('34 19:00')
    expect(it.plan(21, '09:00').warnings.map(({ text }) => text)).toEqual([
      'Burr: white grains, seen yesterday 19:00. Back to treatment; the observation starts at nothing.',
    ])
  })

  test('a death without a cause in observation adds fourteen days', () => {
    const it = held(16)
    for (const animalId of ['needle', 'burr'])
      it.write({ kind: 'move', ...it.at(16, '18:00'), animalId, fromTankId: 'quar', toTankId: 'obs' })
    it.write({ kind: 'death', ...it.at(18, '07:00'), animalId: 'burr', tankId: 'obs' })
    expect(it.plan(19, '09:00').observation).toMatchObject({ leastDays: 28 })
  })

  test('thirty days: the copper comes out, then observation in the same water', () => {
    const it = held(32, { protocol: 'qt-a-cu30' })
    expect(one(it, 32, '09:00', 'clear')).toMatchObject({
      state: 'due',
      title: 'Take the copper out: carbon in, change water',
    })
    expect(one(it, 32, '09:00', 'move')).toBeUndefined()
    it.write({ kind: 'equipment', ...it.at(32, '10:00'), tankId: 'quar', item: 'carbon', running: true })
    expect(it.plan(33, '09:00')).toMatchObject({ phase: 'observing', observation: { tankId: 'quar' }, warnings: [] })
  })

  test('ended: nothing is due any more', () => {
    const it = held(16)
    it.write({ kind: 'course-end', ...it.at(16, '20:00'), courseId: 'c', outcome: 'stopped', why: 'fish sold' })
    expect(it.plan(17, '09:00')).toMatchObject({ phase: 'ended', tasks: [], warnings: [] })
  })
})

test('half an hour of watching a day; a look at any of them is it', () => {
  const it = ramped()
  expect(one(it, 1, '20:00', 'look')).toMatchObject({ state: 'due', animalIds: ['needle', 'burr'] })
  it.look(1, '20:10')
  expect(wall(it, one(it, 1, '20:15', 'look')!.best)).toBe('2 19:00')
})
