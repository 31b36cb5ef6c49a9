import { TestBed } from '@angular/core/testing';
import { provideHouseUnits } from '../src/shared/house-renderer';

// quantities are said on the page as the app says them
beforeEach(() => TestBed.configureTestingModule({ providers: [provideHouseUnits()] }));
