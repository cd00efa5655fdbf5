import { inject, type Type } from '@angular/core';
import { type CanActivateFn, Router, type Routes } from '@angular/router';
import { Lock } from './platform/lock';
import { isDeskPath } from './start/desk-path';
import { KeepingSync } from './store/keeping-sync';
import { WorkspaceStore } from './store/workspace';

/** On the very first opening the teacher is asked how to start. */
const started: CanActivateFn = () => {
  const status = inject(WorkspaceStore).status();
  if (status === 'ready') return true;
  return inject(Router).createUrlTree([status === 'upgrading' ? '/bring-up' : '/welcome']);
};

/** Closed while the machine is handed over. */
const open: CanActivateFn = () => (inject(Lock).closed() ? inject(Router).createUrlTree(['/desk']) : true);

/** The same for what needs the teacher's part of the store: it comes only where the way is open. */
const teachers: CanActivateFn = async () => {
  const sync = inject(KeepingSync);
  if (inject(Lock).closed()) return inject(Router).createUrlTree(['/desk']);
  await sync.openAll();
  return true;
};

/** To open the desk is to hand the machine over. */
const handing: CanActivateFn = async () => {
  const lock = inject(Lock);
  const { url } = inject(Router);
  if (lock.isSet() && !lock.closed() && !isDeskPath(url) && url !== '/') lock.cameFrom.set(url);
  await lock.close();
  return true;
};

/**
 * Names that every object has name nothing that is kept: an address with one leads where one without it leads. All else
 * that is not there is said by the place itself.
 */
const named: CanActivateFn = (_, state) => {
  const [path = '', query = ''] = state.url.split('?', 2);
  const steps = path.split('/').filter(Boolean).map(decoded);
  const names = [...steps, ...query.split('&').map((pair) => decoded(pair.split('=', 2)[1] ?? ''))];
  if (!names.some((n) => n in Object.prototype)) return true;
  return inject(Router).createUrlTree(
    steps[0] === 'desk' ? ['/desk/work'] : [steps[0] === 'look' ? '/shelf' : `/${steps[0]}`],
  );
};

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** What a place is made of is run in one task, and the place opened in another: together they would be felt. */
const apart = (load: () => Promise<Type<unknown>>) => async () => {
  const place = await load();
  await new Promise((done) => setTimeout(done));
  return place;
};

/** Asked once where what is kept is in an earlier form. */
const upgrading: CanActivateFn = () =>
  inject(WorkspaceStore).status() === 'upgrading' ? true : inject(Router).createUrlTree(['/shelf']);

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'shelf' },
  {
    path: 'welcome',
    canActivate: [teachers],
    title: 'Welcome – Lorvet',
    loadComponent: () => import('./welcome/welcome').then((m) => m.Welcome),
  },
  {
    path: 'bring-up',
    canActivate: [teachers, upgrading],
    title: 'Bringing up – Lorvet',
    loadComponent: () => import('./welcome/bring-up').then((m) => m.BringUp),
  },
  {
    path: 'demo',
    canActivate: [teachers],
    title: 'Lorvet',
    loadComponent: () => import('./welcome/start-demo').then((m) => m.StartDemo),
  },
  {
    path: '',
    canActivate: [teachers, started],
    canActivateChild: [open, named],
    loadComponent: () => import('./frame').then((m) => m.Frame),
    children: [
      { path: 'shelf', title: 'Shelf – Lorvet', loadComponent: () => import('./shelf/shelf').then((m) => m.Shelf) },
      {
        path: 'bench',
        pathMatch: 'full',
        title: 'Bench – Lorvet',
        loadComponent: () => import('./bench/bench-door').then((m) => m.BenchDoor),
      },
      {
        path: 'bench/:familyId/upkeep',
        title: 'Upkeep – Lorvet',
        loadComponent: () => import('./bench/upkeep').then((m) => m.UpkeepView),
      },
      {
        path: 'bench/:familyId/tiers',
        title: 'Make tiers – Lorvet',
        loadComponent: () => import('./bench/tiers').then((m) => m.Tiers),
      },
      {
        path: 'bench/:familyId/history',
        title: 'History – Lorvet',
        loadComponent: () => import('./bench/history').then((m) => m.History),
      },
      {
        path: 'bench/:familyId/compare',
        title: 'Compare – Lorvet',
        loadComponent: () => import('./bench/compare').then((m) => m.Compare),
      },
      {
        path: 'bench/:familyId',
        title: 'Bench – Lorvet',
        loadComponent: () => import('./bench/bench').then((m) => m.Bench),
      },
      {
        path: 'bench/:familyId/:versionId',
        title: 'Bench – Lorvet',
        loadComponent: () => import('./bench/bench').then((m) => m.Bench),
      },
      {
        path: 'bring-in',
        title: 'Bring in – Lorvet',
        loadComponent: () => import('./bring/bring').then((m) => m.Bring),
      },
      {
        path: 'bank',
        title: 'Bank – Lorvet',
        loadComponent: () => import('./bank/bank').then((m) => m.Bank),
      },
      {
        path: 'learners',
        title: 'Learners – Lorvet',
        loadComponent: () => import('./learners/learners').then((m) => m.Learners),
      },
      {
        path: 'learners/groups',
        title: 'Make groups – Lorvet',
        loadComponent: () => import('./learners/groups/make-groups').then((m) => m.MakeGroups),
      },
      {
        path: 'learners/school',
        title: 'The school’s list – Lorvet',
        loadComponent: () => import('./learners/roster/school-list').then((m) => m.SchoolList),
      },
      {
        path: 'learners/cards/:learnerId',
        title: 'Needs card – Lorvet',
        loadComponent: () => import('./learners/seen-card').then((m) => m.SeenCard),
      },
      {
        path: 'hand-outs',
        title: 'Hand-outs – Lorvet',
        loadComponent: () => import('./handouts/handouts').then((m) => m.HandOuts),
      },
      {
        path: 'hand-outs/calendar',
        title: 'Calendar – Lorvet',
        loadComponent: () => import('./handouts/calendar').then((m) => m.HandOutCalendar),
      },
      {
        path: 'hand-outs/:id',
        title: 'Plan – Lorvet',
        loadComponent: () => import('./handouts/plan/plan').then((m) => m.Plan),
      },
      {
        path: 'hand-outs/:id/places',
        title: 'Places – Lorvet',
        loadComponent: () => import('./handouts/places').then((m) => m.Places),
      },
      {
        path: 'marking',
        title: 'Marking – Lorvet',
        loadComponent: () => import('./marking/list/marking-list').then((m) => m.MarkingList),
      },
      {
        path: 'marking/:id',
        title: 'Marking – Lorvet',
        loadComponent: () => import('./marking/grid/marking').then((m) => m.MarkingGrid),
      },
      {
        path: 'marking/:id/question',
        title: 'One question – Lorvet',
        loadComponent: () => import('./marking/question/one-question').then((m) => m.OneQuestion),
      },
      {
        path: 'marking/:id/work',
        title: 'One work – Lorvet',
        loadComponent: () => import('./marking/work/one-work').then((m) => m.OneWork),
      },
      {
        path: 'marking/:id/paper',
        title: 'On paper – Lorvet',
        loadComponent: () => import('./marking/paper/paper-place').then((m) => m.PaperPlace),
      },
      {
        path: 'marking/:id/out',
        title: 'Let out – Lorvet',
        loadComponent: () => import('./marking/out/letting-out').then((m) => m.LettingOut),
      },
      {
        path: 'evidence',
        title: 'Evidence – Lorvet',
        loadComponent: apart(() => import('./evidence/list/evidence-list').then((m) => m.EvidenceList)),
      },
      {
        path: 'evidence/helps',
        title: 'What helps – Lorvet',
        loadComponent: apart(() => import('./evidence/helps/what-helps').then((m) => m.WhatHelps)),
      },
      {
        path: 'evidence/suggestions',
        title: 'Suggestions – Lorvet',
        loadComponent: apart(() => import('./evidence/suggestions/suggestions').then((m) => m.Suggestions)),
      },
      {
        path: 'evidence/way',
        title: 'The whole way – Lorvet',
        loadComponent: apart(() => import('./evidence/way/the-way').then((m) => m.TheWay)),
      },
      {
        path: 'evidence/record',
        title: 'The record – Lorvet',
        loadComponent: apart(() => import('./evidence/record/record-view').then((m) => m.RecordView)),
      },
      {
        path: 'evidence/of/:learnerId',
        title: 'Evidence – Lorvet',
        loadComponent: apart(() => import('./evidence/learner/one-evidence').then((m) => m.OneEvidence)),
      },
      {
        path: 'keeping',
        title: 'Keeping – Lorvet',
        loadComponent: () => import('./keeping/keeping').then((m) => m.Keeping),
      },
    ],
  },
  {
    path: 'desk',
    canActivate: [started, handing],
    title: 'Desk',
    loadComponent: () => import('./desk/door/desk-door').then((m) => m.DeskDoor),
  },
  {
    path: 'desk/work',
    canActivate: [started, handing],
    title: 'My work',
    loadComponent: () => import('./desk/my-work/my-work').then((m) => m.MyWork),
  },
  {
    path: 'desk/work/:handOutId',
    canActivate: [started, named, handing],
    title: 'My work',
    loadComponent: () => import('./desk/sheet/sheet').then((m) => m.DeskSheet),
  },
  {
    path: 'desk/work/:handOutId/with/:companionId',
    canActivate: [started, named, handing],
    title: 'To look at',
    loadComponent: () => import('./desk/sheet/beside').then((m) => m.DeskBeside),
  },
  {
    path: 'desk/work/:handOutId/places',
    canActivate: [started, named, handing],
    title: 'Everybody’s places',
    loadComponent: () => import('./desk/places/places').then((m) => m.DeskPlaces),
  },
  {
    path: 'look/version/:versionId',
    canActivate: [teachers, started, named],
    title: 'Looking as a learner',
    loadComponent: () => import('./desk/look/look-as').then((m) => m.LookAs),
  },
  {
    path: 'look/:handOutId/:learnerId',
    canActivate: [teachers, started, named],
    title: 'Looking as a learner',
    loadComponent: () => import('./desk/look/look-as').then((m) => m.LookAs),
  },
  { path: '**', redirectTo: 'shelf' },
];
