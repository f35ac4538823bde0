export default defineAppConfig({
  ui: { colors: { primary: 'marking', neutral: 'bench' } },
})
