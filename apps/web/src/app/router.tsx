import type { ComponentType } from 'react';
import { createBrowserRouter, isRouteErrorResponse, useRouteError } from 'react-router';
import { ButtonLink } from '../ui/buttons/Button.tsx';
import { GymData } from '../server/GymData.tsx';
import { Shell } from './Shell.tsx';
import { Heading } from '../ui/panels/Heading.tsx';

const room = (load: () => Promise<Record<string, ComponentType>>, name: string) => async () => {
  const rooms = await load();
  return { Component: rooms[name]! };
};

const combos = () => import('../rooms/combos/CombosRoom.tsx');
const sessions = () => import('../rooms/sessions/SessionsRoom.tsx');
const fighters = () => import('../rooms/fighters/FightersRoom.tsx');
const floor = () => import('../rooms/floor/FloorRoom.tsx');

function Lost() {
  const error = useRouteError();
  const missing = isRouteErrorResponse(error) && error.status === 404;
  return (
    <div className="p-10">
      <Heading className="mb-3 text-3xl">{missing ? 'There is no such page' : 'This page stopped'}</Heading>
      <p className="mb-5">
        {missing ? 'The address may be mistyped.' : error instanceof Error ? error.message : 'Load it again.'}
      </p>
      <ButtonLink to="/" reloadDocument>
        Back to Today
      </ButtonLink>
    </div>
  );
}

/** A page without the frame of the gym. */
const alone = { ErrorBoundary: Lost, HydrateFallback: () => null };

export const router = createBrowserRouter([
  {
    Component: Shell,
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
    children: [
      { index: true, lazy: room(() => import('../rooms/today/TodayRoom.tsx'), 'TodayRoom') },
      {
        Component: GymData,
        children: [
          {
            path: 'moves/grades/:gradeId?',
            lazy: room(() => import('../rooms/moves/MovesRoom.tsx'), 'MovesRoom'),
          },
          { path: 'moves/:code?', lazy: room(() => import('../rooms/moves/MovesRoom.tsx'), 'MovesRoom') },
          { path: 'gym', lazy: room(() => import('../rooms/gym/GymRoom.tsx'), 'GymRoom') },
          { path: 'gym/sound', lazy: room(() => import('../rooms/gym/sound/SoundCheck.tsx'), 'SoundCheck') },
          { path: 'gym/lab', lazy: room(() => import('../rooms/gym/lab/LabRoom.tsx'), 'LabRoom') },
          { path: 'gym/devices', lazy: room(() => import('../rooms/door/DevicesRoom.tsx'), 'DevicesRoom') },
          { path: 'gym/keep', lazy: room(() => import('../rooms/gym/keep/KeepRoom.tsx'), 'KeepRoom') },
          { path: 'gym/voice', lazy: room(() => import('../rooms/gym/sound/OwnVoice.tsx'), 'OwnVoice') },
          {
            path: 'combos/wall/:gradeId',
            lazy: room(() => import('../rooms/combos/WallCard.tsx'), 'WallCard'),
          },
          { path: 'combos/:id?', lazy: room(combos, 'CombosRoom') },
          {
            path: 'sessions/:id/card',
            lazy: room(() => import('../rooms/sessions/paper/SessionCard.tsx'), 'SessionCard'),
          },
          {
            path: 'sessions/:id/sheet',
            lazy: room(() => import('../rooms/sessions/sheet/ClassSheet.tsx'), 'ClassSheet'),
          },
          {
            path: 'sessions/calendar',
            lazy: room(() => import('../rooms/sessions/calendar/CalendarRoom.tsx'), 'CalendarRoom'),
          },
          {
            path: 'sessions/season/:id?',
            lazy: room(() => import('../rooms/sessions/season/SeasonRoom.tsx'), 'SeasonRoom'),
          },
          { path: 'sessions/:id?', lazy: room(sessions, 'SessionsRoom') },
          {
            path: 'fighters/class',
            lazy: room(() => import('../rooms/fighters/class/ClassRoom.tsx'), 'ClassRoom'),
          },
          {
            path: 'fighters/register',
            lazy: room(() => import('../rooms/fighters/class/RegisterRoom.tsx'), 'RegisterRoom'),
          },
          {
            path: 'fighters/class/reports',
            lazy: room(() => import('../rooms/fighters/report/ReportRoom.tsx'), 'ClassReportsRoom'),
          },
          {
            path: 'fighters/memory',
            lazy: room(() => import('../rooms/fighters/memory/MemoryRoom.tsx'), 'MemoryRoom'),
          },
          {
            path: 'fighters/test-day/:gradeId?',
            lazy: room(() => import('../rooms/fighters/grade/TestDay.tsx'), 'TestDay'),
          },
          {
            path: 'fighters/:id/grade',
            lazy: room(() => import('../rooms/fighters/grade/GradeRoom.tsx'), 'GradeRoom'),
          },
          {
            path: 'fighters/:id/report',
            lazy: room(() => import('../rooms/fighters/report/ReportRoom.tsx'), 'ReportRoom'),
          },
          {
            path: 'fighters/tests/:testId?',
            lazy: room(() => import('../rooms/fighters/tests/TestsRoom.tsx'), 'TestsRoom'),
          },
          {
            path: 'gym/requirements/:gradeId?',
            lazy: room(() => import('../rooms/gym/requirements/RequirementsRoom.tsx'), 'RequirementsRoom'),
          },
          {
            path: 'fighters/from-file',
            lazy: room(() => import('../rooms/fighters/file/FromFile.tsx'), 'FromFile'),
          },
        ],
      },
      { path: 'floor', lazy: room(floor, 'ChooseRoom') },
      { path: 'fighters', lazy: room(fighters, 'FightersRoom') },
      { path: 'fighters/:id', lazy: room(fighters, 'FighterRoom') },
    ],
  },
  { path: 'floor/:runId', ...alone, lazy: room(floor, 'RunRoom') },
  // Pages for devices that are not the coach's: nothing on them is of the gym but the class that they join.
  { path: 'join/:code?', ...alone, lazy: room(() => import('../rooms/hall/JoinRoom.tsx'), 'JoinRoom') },
  { path: 'hall/:code/:view', ...alone, lazy: room(() => import('../rooms/hall/HallRoom.tsx'), 'HallRoom') },
  { path: 'door', ...alone, lazy: room(() => import('../rooms/door/DoorRoom.tsx'), 'DoorRoom') },
  { path: 'phone', ...alone, lazy: room(() => import('../rooms/door/PhoneRoom.tsx'), 'PhoneRoom') },
]);
