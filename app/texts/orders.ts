import type { OrderKind, OrderWhen } from '~~/core/file/kinds/orderKinds'
import type { OrderSheet } from '~~/core/show/orders/orderSheet'
import type { UsedSetup } from '~~/core/show/text/setupsUsed'

/** Phrases of order sheets. */
export const orders = {
  title: 'Order sheets',
  lead: 'What a shop makes, each on one page: drawn with its sizes, by which figures, measured how, and whether it is early to order it.',
  none: 'Nothing in this build is made by a shop yet: a line of shafts, a chain, a plate, a donor pattern or an axle comes here by itself.',
  choose: 'Sheet',
  begin: 'Not ordered by a sheet yet',
  add: (name: string) => `Sheet for ${name}`,
  pdf: (paper: string) => `PDF, ${paper}`,
  papers: { a4: 'A4', letter: 'Letter' },
  notMade: (reason: string) => `The file could not be made: ${reason}.`,
  print: 'Print it',
  remove: (name: string) => `Delete the order of ${name}`,
  changes: {
    add: 'Begin an order',
    change: 'Change an order',
    remove: 'Delete an order',
    send: 'Order something',
    unsend: 'Take an order back',
    arrive: 'Measure what came',
    accept: 'Take on what came',
    refuse: 'Refuse what came',
    reopen: 'Measure again what came',
  },
  fields: {
    name: 'Name',
    supplier: 'Shop',
    convention: 'The shop measures from … to',
    when: 'It is ordered',
    asks: 'What the shop is told',
    balanceG: 'Balance grade G',
    runoutMm: 'Run-out, at the most',
    second: 'Measured again by another',
    secondBy: 'Who',
    secondMm: 'Length found',
    line: 'Becomes the halfshaft of',
    noLine: 'no line of this build',
    cost: 'Cost',
    lead: 'Days on the way',
    by: 'Who measured it',
    tool: 'With',
    reason: 'Why it is refused',
  },
  whens: {
    now: 'now: it rests on no measurement',
    mounts: 'after the mounts are tacked',
    ride: 'after the ride height is settled',
  } satisfies Record<OrderWhen, string>,
  risk: {
    title: 'If it is ordered now',
    bottoms: (chance: string, kind: OrderKind) =>
      kind === 'halfshafts'
        ? `${chance} that a joint comes to a stop of its plunge`
        : `${chance} that the shaft bottoms`,
    pulls: (chance: string) => `${chance} that its spline comes apart`,
    rests:
      'by the ± of its readings, over every place of the wheels that was told; the mounts may still move it further',
    cost: (cost: string) => `Then it is made twice: ${cost} more, and its days on the way again.`,
    none: 'Nothing in it slips, so its length has to be right: order it last.',
  },
  own: {
    title: 'Make it yourself?',
    hours: 'Hours of yours',
    material: 'Material',
    twice: 'Made twice',
    cheaper: (sum: string) => `Making it saves ${sum}.`,
    dearer: (sum: string) => `Making it costs ${sum} more.`,
    costs: (own: string, hours: string, price: string) => `${own} and ${hours} h of work against ${price}.`,
    spares: (days: string) => `It spares about ${days} days of waiting.`,
    even: (rate: string) => `Alike where an hour of yours is worth ${rate}.`,
    noPrice: 'Say what it costs to buy.',
    who: 'Shafts, axles and steering parts are made by who is qualified for them; local rules come first.',
  },
  orderBy: (day: string) => `Order it by ${day} at the latest: after that the day it drives moves.`,
  send: 'It is ordered',
  sent: (day: string) => `Ordered on ${day}.`,
  unsend: 'It was not ordered',
  arrival: {
    title: 'When it comes: measure it again',
    lead: 'Before it is fitted, while it can still go back.',
    asked: (value: string) => `ordered ${value}`,
    difference: (value: string) => `${value}`,
    becomes: (what: string) => `becomes ${what}`,
    kept: 'stands in the order alone',
    longer: (size: string) => `${size} more`,
    shorter: (size: string) => `${size} less`,
    same: 'as ordered',
    effect: 'With it',
    noEffect: 'every check stands as before',
    accept: 'Accept it',
    refuse: 'Refuse it',
    accepted: (day: string) => `Accepted on ${day}; its figures are the model’s now.`,
    refused: (day: string) => `Refused on ${day}.`,
    reopen: 'Measure it again',
    again: 'Order it once more',
  },
  sheet: {
    about: (
      { about, supplier, orderedAt }: Pick<OrderSheet, 'about' | 'supplier' | 'orderedAt'>,
      printedOn: string,
    ) =>
      [
        ...about,
        supplier && `for ${supplier}`,
        orderedAt === null ? 'not ordered yet' : `ordered on ${orderedAt}`,
        `printed ${printedOn}`,
      ]
        .filter(Boolean)
        .join(' · '),
    measured: 'Measured',
    setup: ({ name, date, by, tools }: UsedSetup) =>
      [`${name}${date ? `, ${date}` : ''}`, by && `by ${by}`, tools && `with ${tools}`]
        .filter(Boolean)
        .join('; '),
    byHand: 'Typed figures; no reading of the build is under them.',
    spread:
      '± is 95 %. Straight on the bench; where a length stands otherwise in the vehicle, both are told.',
    scale: (scale: number) => `Drawn 1 : ${scale}; sizes as written count.`,
    signs: ['Measured', 'Measured again', 'Ordered'],
    waits: 'This sheet waits for',
  },
} as const
