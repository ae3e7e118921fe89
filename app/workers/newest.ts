/**
 * Asks one question at a time: while it is being answered only the newest of those asked since waits, so that old
 * answers never arrive late and nothing piles up.
 * @param receive called with each answer, and whether no newer question waits
 * @returns what asks
 */
export function newestWaits<Question, Answer>(
  answer: (question: Question) => Promise<Answer>,
  receive: (answer: Answer, isNewest: boolean) => void,
  failed: (reason: unknown) => void,
): (question: Question) => void {
  let isBusy = false
  let waiting: { readonly question: Question } | null = null
  const ask = async (question: Question): Promise<void> => {
    isBusy = true
    try {
      receive(await answer(question), waiting === null)
    } catch (reason) {
      failed(reason)
    }
    isBusy = false
    const next = waiting
    waiting = null
    if (next) void ask(next.question)
  }
  return (question) => {
    if (isBusy) waiting = { question }
    else void ask(question)
  }
}
