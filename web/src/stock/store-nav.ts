import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** The rooms of the store. */
@Component({
  selector: 'g-store-nav',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, RouterLinkActive],
  template: `
    @for (r of rooms; track r.path) {
      <a
        [routerLink]="r.path"
        routerLinkActive="here"
        [routerLinkActiveOptions]="place"
        ariaCurrentWhenActive="page"
        queryParamsHandling=""
        >{{ r.name }}</a
      >
    }
  `,
  styles: `
    :host {
      display: flex;
      align-self: stretch;
      gap: 4px;
    }
    a {
      display: flex;
      align-items: center;
      padding: 0 12px;
      border-bottom: 3px solid transparent;
      color: var(--ink);
      font: 600 18px/1 var(--head);
      text-decoration: none;
      white-space: nowrap;
    }
    .here {
      border-color: var(--blue);
      color: var(--blue);
    }
  `,
})
export class StoreNav {
  /** Whatever is open in it. */
  protected readonly place = { paths: 'exact', queryParams: 'ignored', matrixParams: 'ignored', fragment: 'ignored' } as const;
  protected readonly rooms = [
    { path: '/store', name: 'Catalogue' },
    { path: '/store/shelf', name: 'Shelf' },
    { path: '/store/rack', name: 'Hose rack' },
    { path: '/store/suppliers', name: 'Suppliers' },
  ];
}
