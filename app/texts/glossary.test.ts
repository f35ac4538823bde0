import { GLOSSARY, splitByTerms } from './glossary'

describe('the glossary', () => {
  it('explains each term once, in whole sentences', () => {
    const words = GLOSSARY.flatMap(({ term, also }) =>
      [term, ...(also ?? [])].map((one) => one.toLowerCase()),
    )
    expect(new Set(words).size).toBe(words.length)
    for (const { meaning } of GLOSSARY) expect(meaning).toMatch(/^[A-Z].*[.]$/)
  })

  it('finds whole words, the longest first, each once', () => {
    expect(splitByTerms('Slip yoke and yoke').map(({ text, entry }) => [text, entry?.term ?? null])).toEqual([
      ['Slip yoke', 'slip yoke'],
      [' and ', null],
      ['yoke', 'yoke'],
    ])
    expect(splitByTerms('phases of planning').every(({ entry }) => entry === null)).toBe(true)
    expect(splitByTerms('fall and fall').map(({ entry }) => entry?.term ?? null)).toEqual([
      'fall',
      null,
      null,
    ])
  })

  it('loses no letter of the text', () => {
    const text = 'Torsional under drive is 699 rad/s² at 3 600 rev/min; pair difference 2.6°.'
    expect(
      splitByTerms(text)
        .map((piece) => piece.text)
        .join(''),
    ).toBe(text)
  })
})
