/**
 * Asks one question at a time: while it is being answered only the newest of those asked since waits, so that old
 * answers never arrive late and nothing piles up.
 * @param receive called with each answer, and whether no newer question waits
 * @param failed called where there is no answer, and whether no newer question waits
 * @returns what asks, and whether a newer question waits than the one that is being answered
 */
export function newestWaits<Question, Answer>(
  answer: (question: Question) => Promise<Answer>,
  receive: (answer: Answer, isNewest: boolean) => void,
  failed: (reason: unknown, isNewest: boolean) => void,
): { readonly ask: (question: Question) => void; readonly isWaiting: () => boolean } {
  let isBusy = false
  let waiting: { readonly question: Question } | null = null
  const put = async (question: Question): Promise<void> => {
    isBusy = true
    try {
      receive(await answer(question), waiting === null)
    } catch (reason) {
      failed(reason, waiting === null)
    }
    isBusy = false
    const next = waiting
    waiting = null
    if (next) void put(next.question)
  }
  return {
    ask: (question) => {
      if (isBusy) waiting = { question }
      else void put(question)
    },
    isWaiting: () => waiting !== null,
  }
}
