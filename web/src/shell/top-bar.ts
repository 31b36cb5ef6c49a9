import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { ActivatedRoute, RouterLink } from '@angular/router';
import { NgbDropdown, NgbDropdownItem, NgbDropdownMenu, NgbDropdownToggle, NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { Icon } from '../shared/icon';
import { KeyboardCommands } from './keyboard-commands';
import { SaveState } from './save-state';

@Component({
  selector: 'g-top-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Icon, NgbDropdown, NgbDropdownItem, NgbDropdownMenu, NgbDropdownToggle, NgbTooltip, SaveState],
  templateUrl: './top-bar.html',
  styleUrl: './top-bar.scss',
})
export class TopBar {
  protected readonly store = inject(JobStore);
  protected readonly preferences = inject(Preferences);
  protected readonly keyboard = inject(KeyboardCommands);
  private readonly path = inject(ActivatedRoute).snapshot.routeConfig?.path;
  protected readonly onBench = this.path === 'bench';
  protected readonly inStore = this.path === 'store';
  protected readonly onFlow = this.path === 'flow';
}
