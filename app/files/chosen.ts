/** The file that was chosen in a field, which is then ready for the same one again; null when none was. */
export function chosenFile(event: Event): File | null {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0] ?? null
  field.value = ''
  return file
}
