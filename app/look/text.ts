import { styled } from 'styled-components'

/** A page's title. */
export const Title = styled.h1`
  font-size: 26px;
  line-height: 1.2;
  font-weight: 700;
  letter-spacing: -0.01em;
`

/** A section's heading: set over a rule, like a column of a ledger. */
export const Heading = styled.h2`
  font-size: 16px;
  font-weight: 700;
  padding-bottom: 6px;
  border-bottom: 1.5px solid var(--ink);
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
`

export const Quiet = styled.span`
  color: var(--quiet);
  font-weight: 400;
`

export const Small = styled.p`
  font-size: 14px;
  color: var(--quiet);
  line-height: 1.4;
`

/** A number that is acted on or was read: mono, and as large as its place asks. */
export const Figure = styled.span<{ $size?: number }>`
  font-family: var(--mono);
  font-size: ${({ $size = 16 }) => $size}px;
  line-height: 1.15;
  font-weight: ${({ $size = 16 }) => ($size > 20 ? 600 : 450)};
  white-space: nowrap;
`

/** A sentence that changes what to do, or a caution that stands before a step. */
export const Bar = styled.div<{ $tone: 'act' | 'soon' | 'second' }>`
  border-left: 4px solid var(--${({ $tone }) => $tone});
  padding: 2px 0 2px 12px;
  font-size: 15px;
  line-height: 1.4;
  ${({ $tone }) => $tone === 'act' && 'color: var(--act); font-weight: 600;'}
`

export const Rows = styled.ul`
  & > li {
    border-bottom: 1px dotted var(--strong-rule);
    padding: 9px 0;
  }
`

/** Names and values, ruled like a list of figures. */
export const Facts = styled.dl`
  & > div {
    display: flex;
    justify-content: space-between;
    gap: 16px;
    padding: 7px 0;
    border-bottom: 1px dotted var(--strong-rule);
  }
  dt {
    color: var(--quiet);
  }
  dd {
    text-align: right;
  }
`

export const Stack = styled.div<{ $gap?: number }>`
  display: flex;
  flex-direction: column;
  gap: ${({ $gap = 16 }) => $gap}px;
`

export const Line = styled.div<{ $gap?: number }>`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${({ $gap = 10 }) => $gap}px;
`

/** A small table ruled like a list of figures. */
export const Ruled = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 15px;
  th,
  td {
    text-align: left;
    padding: 6px 10px 6px 0;
    border-bottom: 1px dotted var(--strong-rule);
    font-weight: 400;
    vertical-align: baseline;
  }
  thead th,
  th[scope='colgroup'] {
    font-size: 13.5px;
    color: var(--quiet);
  }
  th[scope='row'] {
    font-weight: 600;
  }
`
