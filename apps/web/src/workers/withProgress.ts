/**
 * A long call with news of how far it is. News comes through a port of its own and can arrive after the answer: what is late
 * is dropped, so that it never covers the answer.
 */
export async function withProgress<News, Answer>(
  onNews: (news: News) => void,
  call: (onNews: (news: News) => void) => Promise<Answer>,
): Promise<Answer> {
  let answered = false
  try {
    return await call((news) => {
      if (!answered) onNews(news)
    })
  } finally {
    answered = true
  }
}
