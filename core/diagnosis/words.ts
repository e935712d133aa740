/** A likelihood in whole hundredths, as good as it is: “88 %”. */
export const likelihoodText = (share: number): string =>
  `${share >= 0.995 ? '> 99' : share < 0.01 ? '< 1' : Math.round(100 * share)} %`

/** How often a condition shows a sign, in words: the tables know eight steps from 0.01 to 0.95 (EA). */
export const oftenText = (share: number): string =>
  share >= 0.9
    ? 'nearly always'
    : share >= 0.6
      ? 'mostly'
      : share >= 0.3
        ? 'sometimes'
        : share > 0.02
          ? 'seldom'
          : 'hardly ever'

/** A sign's label within a sentence: its first letter small, but for NO3 and the like. */
export const inSentence = (label: string): string =>
  /^[A-Z][a-z ]/.test(label) ? label.charAt(0).toLowerCase() + label.slice(1) : label
