import {
  Colors,
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  Units,
  type LayerFlags,
} from '@tarikjabiri/dxf'
import { TEMPLATE_LAYERS, type Template, type TemplateLayer } from '~~/core/making/templates/template'

const COLOURS: Readonly<Record<TemplateLayer, number>> = {
  cut: Colors.White,
  drill: Colors.Red,
  bend: Colors.Blue,
  scribe: Colors.Cyan,
}

/** A template as a drawing for a saw, a plasma table or a laser: millimetres, a layer for what is done, no width of cut in it. */
export function templateDxf({ marks }: Template): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const layer of TEMPLATE_LAYERS) dxf.addLayer(layer, COLOURS[layer], 'CONTINUOUS', 0 as LayerFlags)
  for (const mark of marks) {
    const on = { layerName: mark.layer }
    switch (mark.form) {
      case 'outline':
        dxf.addLWPolyline(
          mark.points.map(([x, y]) => ({ point: point2d(x, y) })),
          { ...on, flags: LWPolylineFlags.Closed },
        )
        break
      case 'line':
        dxf.addLine(point3d(...mark.from), point3d(...mark.to), on)
        break
      case 'circle':
        dxf.addCircle(point3d(...mark.at), mark.radius, on)
        break
      case 'text':
        dxf.addText(point3d(...mark.at), mark.size, mark.text, on)
    }
  }
  return dxf.stringify()
}
