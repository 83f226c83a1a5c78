import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { HomePage } from './HomePage.tsx';
import { readSession } from './homeSession.ts';
import { HomeKeeper } from './keptAtHome.ts';
import { openHomeController } from './openHomeController.ts';
import '../ui/theme/base.css';

const root = createRoot(document.getElementById('root')!);

/** What this browser lets a page keep; null where it lets it keep nothing. */
function ownStore(): Storage | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

try {
  const session = readSession(document);
  const keeper = new HomeKeeper(
    `eurhythm.home.${session.sessionId}.${session.fighter.id}`,
    ownStore(),
    Date.now(),
  );
  const { controller, book } = openHomeController(session, keeper);
  document.title = session.title;
  void controller.load();
  root.render(
    <StrictMode>
      <HomePage session={session} controller={controller} book={book} keeper={keeper} />
    </StrictMode>,
  );
} catch (error) {
  root.render(<p className="p-6 text-xl">{(error as Error).message}</p>);
}
