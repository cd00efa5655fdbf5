import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Picture } from '../../picture';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-vocabulary-desk',
  imports: [Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="title">{{ block().title }}</p>
    <dl>
      @for (e of block().entries; track e.id) {
        <div>
          <dt>
            @if (e.assetId; as id) {
              <lv-picture [assetId]="id" alt="" />
            }
            {{ e.word }}
          </dt>
          <dd>{{ e.meaning }}</dd>
        </div>
      }
    </dl>
  `,
  styles: `
    .title {
      font-weight: 650;
      margin-bottom: 6px;
    }
    dl {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(11em, 1fr));
      gap: 10px;
    }
    dl > div {
      padding: 8px 12px;
      border: 1.5px solid var(--line);
      border-radius: 8px;
    }
    lv-picture {
      display: block;
      max-width: 8em;
    }
    dt {
      font-weight: 700;
    }
    dd {
      font-size: 0.92em;
    }
  `,
})
export class VocabularyDesk extends DeskPart<LearnerBlockOf<'vocabulary'>> {}
