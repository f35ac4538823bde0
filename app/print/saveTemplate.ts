import type { Template } from '~~/core/making/templates/template'
import { download } from '../storage/download'
import { fileName } from '../storage/fileName'
import type { Paper } from './papers'
import type { PrintedCheck } from './templatePdf'

/** How a template is taken away: on paper of a size, or as a drawing. */
export type TemplateFile =
  | { readonly as: 'svg' | 'dxf' | 'stl' }
  | { readonly as: 'pdf'; readonly paper: Paper; readonly check: PrintedCheck }

/** Hands a template to the browser as a file; what writes it is loaded when it is wanted. */
export async function saveTemplate(of: string, template: Template, file: TemplateFile): Promise<void> {
  const name = fileName(`${of} ${template.name}`, `.${file.as}`)
  switch (file.as) {
    case 'svg': {
      const { templateSvg } = await import('~~/core/making/templates/templateSvg')
      return download(name, templateSvg(template), 'image/svg+xml')
    }
    case 'dxf': {
      const { templateDxf } = await import('./templateDxf')
      return download(name, templateDxf(template), 'image/vnd.dxf')
    }
    case 'stl': {
      const { templateStl } = await import('./templateStl')
      const { thickMm = NaN } = template
      return download(name, await templateStl(template, thickMm), 'model/stl')
    }
    case 'pdf': {
      const [{ templatePdf }, { loadFont }] = await Promise.all([
        import('./templatePdf'),
        import('./pdfFont'),
      ])
      const { paper, check } = file
      return download(
        name,
        new Uint8Array(templatePdf(template, paper, await loadFont(), check)),
        'application/pdf',
      )
    }
  }
}
