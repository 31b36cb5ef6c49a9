import type { Routes } from '@angular/router';
import { Board } from './board/board';

export const routes: Routes = [
  { path: '', component: Board, title: 'Board · Gewinde' },
  {
    path: 'job/:jobId',
    loadComponent: () => import('./shell/workspace').then((m) => m.Workspace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'lines' },
      { path: 'survey', loadComponent: () => import('./survey/survey').then((m) => m.Survey) },
      { path: 'lines', loadComponent: () => import('./lines/lines').then((m) => m.Lines) },
      { path: 'lines/:lineId', loadComponent: () => import('./lines/lines').then((m) => m.Lines) },
      { path: 'audit', loadComponent: () => import('./audit/audit').then((m) => m.Audit) },
      { path: 'cut', loadComponent: () => import('./cut/cut').then((m) => m.Cut) },
      { path: 'order', loadComponent: () => import('./order/order').then((m) => m.Order) },
    ],
  },
  { path: 'rules', title: 'Rules · Gewinde', loadComponent: () => import('./audit/rule-pages').then((m) => m.RulePages) },
  { path: 'rules/:rule', title: 'Rules · Gewinde', loadComponent: () => import('./audit/rule-pages').then((m) => m.RulePages) },
  { path: 'shop-rules', title: 'Shop rules · Gewinde', loadComponent: () => import('./audit/shop-rules').then((m) => m.ShopRules) },
  { path: 'shop-rules/:of', title: 'Shop rules · Gewinde', loadComponent: () => import('./audit/shop-rules').then((m) => m.ShopRules) },
  { path: 'store', title: 'Store · Gewinde', loadComponent: () => import('./store/store').then((m) => m.Store) },
  { path: 'store/shelf', title: 'Shelf · Gewinde', loadComponent: () => import('./stock/shelf').then((m) => m.ShelfRoom) },
  { path: 'store/rack', title: 'Hose rack · Gewinde', loadComponent: () => import('./stock/rack').then((m) => m.RackRoom) },
  { path: 'store/suppliers', title: 'Suppliers · Gewinde', loadComponent: () => import('./stock/suppliers').then((m) => m.SuppliersRoom) },
  {
    path: 'bench',
    title: 'Thread bench · Gewinde',
    loadComponent: () => import('./bench/thread-bench').then((m) => m.ThreadBench),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'name' },
      { path: 'name', loadComponent: () => import('./bench/name-thread').then((m) => m.NameThread) },
      { path: 'pair', loadComponent: () => import('./bench/pair-check').then((m) => m.PairCheck) },
      { path: 'matrix', loadComponent: () => import('./bench/matrix').then((m) => m.Matrix) },
      { path: 'drill', loadComponent: () => import('./bench/drill').then((m) => m.Drill) },
      { path: 'fault', loadComponent: () => import('./audit/find-the-fault').then((m) => m.FindTheFault) },
    ],
  },
  { path: 'flow', title: 'Flow bench · Gewinde', loadComponent: () => import('./flow-bench/flow-bench').then((m) => m.FlowBench) },
  { path: '**', redirectTo: '' },
];
