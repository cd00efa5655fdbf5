import { InjectionToken } from '@angular/core';
import type { Boxes } from './boxes';

export const BOXES = new InjectionToken<Boxes>('Boxes');
