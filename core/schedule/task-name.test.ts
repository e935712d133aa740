import { ruleWordId } from '../courses/rules/rules.ts'
import { tickId } from '../arrivals/run/ticks.ts'
import { taskName } from './task-name.ts'

test.each([
  ['copper-quar/read/2026-11-23', 'daily reading'],
  ['c/ramp/2', 'step of the ramp'],
  [ruleWordId('c', 'tr-3', 1), 'Observation tank is sterile and ≥ 3 m (10 ft) from any saltwater'],
  [tickId('box', 'hall', 'lid'), 'Lid'],
  ['arrival/run-1/first-meal/1', 'first meal'],
  ['introduction/i/box-check/20501', 'watch through the door'],
  ['training/needle/20501', 'feeding training'],
])('%s is told as "%s"', (id, name) => expect(taskName(id)).toBe(name))

test('the id of a later version has no name', () => expect(taskName('c/vinegar/1')).toBeNull())
