import { command } from './command.ts'
import { OPERATIONS } from './registry.ts'
import { runOperation, runUnknown } from './run.ts'

const none = () => ''
const asked = (args: string[], input = '') => {
  const { output, exitCode } = command(args, () => input)
  return { answer: JSON.parse(output) as Record<string, unknown>, exitCode }
}

describe('the core’s command line', () => {
  test('one operation: its answer and exit 0', () => {
    expect(asked(['waterChange.sequence'], '{"startMgPerL":40,"fractions":[0.5]}')).toEqual({
      answer: { afterEach: [20], remainingFraction: 0.5 },
      exitCode: 0,
    })
  })

  test('bad input: where, what was expected, what came, exit 2', () => {
    expect(asked(['waterChange.sequence'], '{"startMgPerL":-1,"fractions":[]}')).toEqual({
      answer: { error: { code: 'invalid-input', path: '/startMgPerL', message: 'expected at least 0; came -1' } },
      exitCode: 2,
    })
    expect(asked(['tank.volume'], 'not json').answer).toMatchObject({ error: { code: 'invalid-input', path: '' } })
    expect(asked(['tank.volume'], '[]').answer).toMatchObject({ error: { code: 'invalid-input' } })
    expect(asked(['tank.volume'], '{"shape":{"kind":"torus"}}').answer).toMatchObject({
      error: { path: '/shape/kind' },
    })
  })

  test.each(['tank.weight', 'toString', '__proto__', 'constructor', ''])('%j is no operation', (name) => {
    expect(asked([name], '{}')).toMatchObject({ answer: { error: { code: 'unknown-operation' } }, exitCode: 2 })
  })

  test('an unknown operation is told without waiting for input', () => {
    const input = jest.fn(none)
    command(['no.such'], input)
    expect(input).not.toHaveBeenCalled()
  })

  test('--list: every name with its summary, a line each', () => {
    const lines = command(['--list'], none).output.split('\n')
    expect(lines.map((line) => line.split('  ')[0])).toEqual(Object.keys(OPERATIONS))
    for (const line of lines) expect(line.split('  ')[1]!.length).toBeGreaterThan(10)
  })

  test('--batch: a result a line, errors among them, and the run goes on', () => {
    const lines = [
      '{"operation":"waterChange.sequence","input":{"startMgPerL":40,"fractions":[0.5]}}',
      'not json',
      '',
      '{"operation":"no.such","input":{}}',
      '{"operation":"salinity.swap","input":{"volumeL":1,"fromPsu":35,"toPsu":20,"replacementPsu":25,"maxStepPsu":1,"hoursBetween":1}}',
      '5',
      '{"id":"mine","operation":"ammonia.free","input":{"tanMgPerL":0,"pH":8,"temperatureC":25,"salinityPsu":35}}',
    ]
    const { output, exitCode } = command(['--batch'], () => lines.join('\n'))
    const answers = output.split('\n').map((line) => JSON.parse(line) as { error?: { code: string; path: string } })
    expect(exitCode).toBe(0)
    expect(answers.map((answer) => answer.error?.code ?? 'ok')).toEqual([
      'ok',
      'invalid-input',
      'unknown-operation',
      'no-solution',
      'invalid-input',
      'ok',
    ])
    expect(answers[1]!.error!.path).toBe('')
  })

  test('no arguments, too many, and an empty batch', () => {
    expect(asked([]).exitCode).toBe(2)
    expect(asked(['tank.volume', 'more']).exitCode).toBe(2)
    expect(command(['--batch'], none)).toEqual({ output: '', exitCode: 0 })
  })
})

describe('running an operation', () => {
  test('numbers that overflow are a fault of the input, never an answer of infinity', () => {
    const result = runUnknown('tank.volume', {
      shape: { kind: 'box', lengthCm: 1e200, widthCm: 1e200, heightCm: 1e200 },
    })
    expect(result).toMatchObject({ ok: false, error: { code: 'invalid-input' } })
  })

  test('NaN and infinity are refused when called directly too', () => {
    for (const bad of [NaN, Infinity, -Infinity])
      expect(runOperation('ammonia.free', { tanMgPerL: bad, pH: 8, temperatureC: 25, salinityPsu: 35 })).toMatchObject({
        ok: false,
        error: { path: '/tanMgPerL' },
      })
  })
})
