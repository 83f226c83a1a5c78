/** Writes fighters one after the other and remembers what the server said it has. */
export function writer(name) {
  const acknowledged = new Map();
  const strange = [];
  let count = 0;
  let isOver = false;
  return {
    acknowledged,
    strange,
    stop: () => (isOver = true),
    /** Until it is stopped, or the server is gone. */
    async write(base) {
      isOver = false;
      while (!isOver) {
        const id = `${name}-${count}`;
        const written = `Writer ${count}`;
        count += 1;
        const answer = await fetch(`${base}/api/fighters/${id}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json', origin: base },
          body: JSON.stringify({
            name: written,
            gradeId: 'ebb',
            lead: 'left',
            note: '',
            fit: true,
            height: null,
            apart: [],
          }),
        }).catch(() => null);
        if (answer?.ok) acknowledged.set(id, written);
        else if (answer && answer.status !== 503) strange.push(`${answer.status} ${await answer.text()}`);
        if (!answer) await new Promise((done) => setTimeout(done, 20));
      }
    },
    /** Ids of what was said to be kept and is not there. */
    async lost(base) {
      const kept = new Map();
      for (let after = ''; ;) {
        const page = await (await fetch(`${base}/api/fighters?limit=500${after}`)).json();
        for (const { id, name: written } of page.items) kept.set(id, written);
        if (!page.next) break;
        after = `&after=${encodeURIComponent(page.next)}`;
      }
      return [...acknowledged].flatMap(([id, written]) => (kept.get(id) === written ? [] : id));
    },
  };
}
