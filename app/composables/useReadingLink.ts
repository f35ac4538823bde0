import { useReadings } from '~/stores/readings'

/** Where a reading can be looked at and taken again: its step of the tour. */
export function useReadingLink() {
  const route = useRoute()
  const readings = useReadings()
  return (readingId: string) => {
    const step = readings.steps.find((one) => one.reading?.id === readingId)
    return {
      path: `/b/${String(route.params.id)}/readings`,
      query: step ? { step: step.id } : {},
    }
  }
}
