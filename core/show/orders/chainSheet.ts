import { fixed, formatBothUnits, grouped } from '../../base/units/format'
import type { SheetDrawing } from '../../drawing/paper/sheetDrawing'
import { sprocketName } from '../../file/parts/chainLine'
import type { ChainEvaluation } from '../../chain/chainEvaluation'
import { namedFigures } from '../../model/namedFigures'
import { outsideDiameter, pitchRadius } from '../../sprockets/sprocket'
import { linksText, slackText } from '../told/chainText'
import {
  askedRows,
  TO_BE_AGREED,
  waitsFor,
  type BodyOf,
  type OrderBody,
  type OrderSite,
  type SheetSection,
} from './orderBody'

/** A new chain is measured over so many links: one pitch is too short to see its wear. */
export const LINKS_OVER = 20

/** A chain and its sprockets. */
export const chainSheet: BodyOf = (site, order): OrderBody => {
  const now = site.evaluation.chains.find(({ chain }) => chain.id === order.of)
  if (!now) return waitsFor(['the chain that it is of'])
  if (!now.loop.known) return waitsFor(now.loop.missing.map(({ what }) => what))
  const { chain } = now
  const links = chain.links ?? (now.linksToOrder.known ? now.linksToOrder.value : null)
  if (links === null)
    return waitsFor(now.linksToOrder.known ? [] : now.linksToOrder.missing.map(({ what }) => what))
  const prefix = `chain/${chain.id}/`
  return {
    missing: [],
    drawing: chainDrawing(site, now),
    sections: [
      chainSection(site, now, links),
      {
        title: 'Sprockets',
        rows: chain.sprockets.map((sprocket) => ({
          name: sprocketName(sprocket),
          value: `${sprocket.teeth} teeth`,
          remark: `pitch circle ${both(site, 2 * pitchRadius(sprocket.teeth, chain.pitchMm))}, over the teeth ${both(site, outsideDiameter(sprocket.teeth, chain.pitchMm))}`,
        })),
      },
      {
        title: 'How they are made',
        rows: askedRows(order),
      },
    ],
    cautions: [
      'A chain that runs is guarded: no fingers, hair or loose clothing near it.',
      ...(chain.duty === 'steering'
        ? ['This chain carries the steering: it is the business of a licensed engineer and of local rules.']
        : []),
    ],
    checks: now.checks,
    columns: namedFigures(site.compiled).flatMap(({ id, column }) => (id.startsWith(prefix) ? [column] : [])),
    arrival: [
      { key: 'links', name: 'links, counted', unit: 'links', asked: links, becomes: 'its links' },
      {
        key: 'over',
        name: `length over ${LINKS_OVER} links, pulled tight`,
        unit: 'mm',
        asked: LINKS_OVER * chain.pitchMm,
        becomes: 'its wear',
      },
    ],
  }
}

const both = ({ build }: OrderSite, mm: number) => formatBothUnits(mm, build.units.inchFraction)

function chainSection(site: OrderSite, now: ChainEvaluation, links: number): SheetSection {
  const { chain, centreMm, forces } = now
  const pull = forces.known ? forces.value.pullN.peak : null
  return {
    title: 'Chain',
    rows: [
      {
        name: 'links',
        value: linksText(links),
        remark: chain.halfLink === true ? 'one of them a half link' : undefined,
        isMain: true,
      },
      { name: 'pitch', value: `${Number(chain.pitchMm.toFixed(3))} mm (${fixed(chain.pitchMm / 25.4, 3)}")` },
      { name: 'length pulled tight', value: both(site, links * chain.pitchMm) },
      ...(centreMm.known ? [{ name: 'shaft to shaft', value: both(site, centreMm.value) }] : []),
      { name: 'slack when it is on', value: slackText(now, site.build.units) },
      {
        name: 'least tensile strength',
        value: chain.tensileN === undefined ? TO_BE_AGREED : `${grouped(chain.tensileN)} N`,
        ...(pull !== null && { remark: `greatest pull ${grouped(pull)} N` }),
      },
    ],
  }
}

function chainDrawing(site: OrderSite, now: ChainEvaluation): SheetDrawing {
  const { chain, sprockets, loop } = now
  const stands = sprockets.known ? sprockets.value : []
  const runs = loop.known ? loop.value.spans : []
  const [first, second] = stands
  const isTwo = stands.length === 2
  return {
    labels: stands.map(({ name, middle }) => ({ at: [middle[0] + 4, middle[1] + 4], text: name })),
    marks: [
      ...stands.flatMap(({ sprocket, middle }) => [
        {
          stroke: 'edge' as const,
          form: 'circle' as const,
          at: middle,
          radius: pitchRadius(sprocket.teeth, chain.pitchMm),
        },
        { stroke: 'edge' as const, form: 'circle' as const, at: middle, radius: 4 },
      ]),
      ...runs.map(({ from, to }) => ({ stroke: 'edge' as const, form: 'line' as const, from, to })),
    ],
    dimensions:
      isTwo && first && second
        ? [
            {
              from: first.middle,
              to: second.middle,
              along: 'straight',
              text: both(
                site,
                Math.hypot(second.middle[0] - first.middle[0], second.middle[1] - first.middle[1]),
              ),
              isMain: true,
            },
          ]
        : stands.slice(1).map(({ middle }) => ({
            from: first?.middle ?? middle,
            to: middle,
            along: 'straight' as const,
            text: both(
              site,
              Math.hypot(middle[0] - (first?.middle[0] ?? 0), middle[1] - (first?.middle[1] ?? 0)),
            ),
          })),
  }
}
