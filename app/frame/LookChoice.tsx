import { useState } from 'react'
import { styled } from 'styled-components'
import { Radios } from '../fields/Radios.tsx'
import { chosenLook, setLook, type Look } from '../look/look.ts'

const LOOKS: readonly [Look, string][] = [
  ['paper', 'Paper'],
  ['night', 'Night'],
  ['system', 'As the system'],
]

const Choice = styled.label`
  position: relative;
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 7px;
  color: var(--quiet);
  cursor: pointer;
  border-radius: 2px;
  &:has(input:checked) {
    color: var(--ink);
    text-decoration: underline;
    text-decoration-thickness: 2px;
    text-decoration-color: var(--second);
    text-underline-offset: 5px;
  }
  &:has(input:focus-visible) {
    outline: 2.5px solid var(--second);
  }
`

/** Paper or Night, or as the system says. */
export function LookChoice() {
  const [look, choose] = useState(chosenLook)
  return (
    <Radios
      label="Look"
      value={look}
      options={LOOKS.map(([value, shown]) => ({ value, shown }))}
      onChange={(value) => {
        setLook(value)
        choose(value)
      }}
      Choice={Choice}
    />
  )
}
