import { closeSession, isHeld, openSession, setHeld } from './instrumentSessions'

describe('instrument sessions', () => {
  it('have a hold button of their own and end when they close', () => {
    expect(openSession('first-one')).toBe(true)
    expect(openSession('first-one')).toBe(false)
    expect(isHeld('first-one')).toBe(false)
    expect(setHeld('first-one', true)).toBe(true)
    expect(isHeld('first-one')).toBe(true)
    closeSession('first-one')
    expect(setHeld('first-one', false)).toBe(false)
    expect(isHeld('first-one')).toBe(false)
  })

  it('are refused beyond what a workshop needs', () => {
    const opened = Array.from({ length: 30 }, (_, i) => openSession(`many-${i}`))
    expect(opened.filter(Boolean)).toHaveLength(20)
    opened.forEach((_, i) => closeSession(`many-${i}`))
    expect(openSession('room-again')).toBe(true)
    closeSession('room-again')
  })
})
