import { useId, useState } from 'react'
import { styled } from 'styled-components'
import { chosenLook, setLook, type Look } from '../look/look.ts'

const LOOKS: readonly [Look, string][] = [
  ['paper', 'Paper'],
  ['night', 'Night'],
  ['system', 'As the system'],
]

// Native radios: the component of the library brings what finds focus in trees of elements along, and the first view has no room for it.
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
  const name = useId()
  return (
    <div role="radiogroup" aria-label="Look" style={{ display: 'flex' }}>
      {LOOKS.map(([value, label]) => (
        <Choice key={value}>
          <input
            type="radio"
            className="visually-hidden"
            name={name}
            value={value}
            checked={look === value}
            onChange={() => {
              setLook(value)
              choose(value)
            }}
          />
          {label}
        </Choice>
      ))}
    </div>
  )
}
