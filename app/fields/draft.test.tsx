import { act, renderHook } from '@testing-library/react'
import { readDraft, useDraft } from './draft.ts'

beforeEach(() => localStorage.clear())

test('another screen that opens at once begins with what was just changed, before it is on the device', () => {
  const first = renderHook(() => useDraft('form'))
  act(() => {
    first.result.current[1]('amount', '12')
    first.result.current[1]('unit', 'mL')
  })
  expect(readDraft('form')).toBeNull()
  const second = renderHook(() => useDraft('form'))
  expect(second.result.current[0]).toEqual({ amount: '12', unit: 'mL' })
  first.unmount()
  expect(readDraft('form')).toMatchObject({ values: { amount: '12', unit: 'mL' } })
})
test('what was forgotten does not come back when its screen closes', () => {
  const form = renderHook(() => useDraft('other'))
  act(() => form.result.current[1]('amount', '12'))
  act(() => form.result.current[2]())
  form.unmount()
  expect(readDraft('other')).toBeNull()
})
