import { array, string } from 'yup'
import { dayField, figure, maybe } from './fields'
import type { Told } from './told'

const week = () => array().of(figure(0, 24).required()).length(7, 'must hold seven days, Monday first')

/** Who works when; absent until it is told. */
export const crewShape = maybe({
  /** Pairs of hands that are there every day. */
  hands: figure(1, 2).integer().required(),
  /** Hours of each day of the week, Monday first. */
  hours: week().required(),
  /** Days of the week on which somebody helps: Monday 0 to Sunday 6. */
  helperDays: array().of(figure(0, 6).integer().required()).max(7),
  /** Days on which nobody works. */
  closed: array().of(dayField().required()).max(200),
  /** The first day that is planned; today where it is past or absent. */
  from: dayField(),
  /** The day by which it is to drive. */
  wanted: dayField(),
  /** What an hour of one's own is worth, and in which money. */
  rate: figure(0, 1e5),
  money: string().max(12),
})
export type CrewEntry = NonNullable<Told<typeof crewShape>>
