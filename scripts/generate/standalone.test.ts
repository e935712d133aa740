import Type from 'typebox'
import { Ajv } from 'ajv'
import { tagged } from './standalone.ts'
import { strict } from '../../core/schema/types.ts'

const SHAPES = Type.Union([
  strict({ kind: Type.Literal('a'), x: Type.Number() }),
  strict({ kind: Type.Literal('b'), y: Type.Number() }),
])

test('a union told apart by kind becomes a tagged one, and an error names the right branch', () => {
  const check = new Ajv({ discriminator: true }).compile(tagged(SHAPES) as object)
  expect(check({ kind: 'a', x: 1 })).toBe(true)
  expect(check({ kind: 'b', y: 'no' })).toBe(false)
  expect(check.errors).toMatchObject([{ instancePath: '/y', keyword: 'type' }])
  check({ kind: 'c' })
  expect(check.errors).toMatchObject([{ keyword: 'discriminator' }])
})

test('any other union is left alone, and remarks are left out', () => {
  expect(tagged(Type.Union([Type.Number(), Type.Null()]))).toHaveProperty('anyOf')
  expect(JSON.stringify(tagged(strict({ a: Type.Number({ description: 'remark' }) })))).not.toContain('remark')
})

test('a property that is called description is kept', () => {
  expect(tagged(strict({ description: Type.String() }))).toHaveProperty('properties.description')
})
