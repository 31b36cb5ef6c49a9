import { computed, inject, Injectable } from '@angular/core';
import { judgeJob, storeFactsOf, type JudgedJob } from '@gewinde/core';
import { JobView } from '../data/job-view';
import { ShopStore } from '../data/shop-store';
import { StockroomStore } from '../data/stockroom-store';
import { today } from '../data/today';
import { HoseBooking } from './hose-booking';
import { OrderPlans } from './order-plans';

/** The open job, judged with what the store says of it: what comes too late, what nobody offers, what was ordered or cut for what has changed. */
@Injectable({ providedIn: 'root' })
export class StoreFactsView {
  private readonly view = inject(JobView);
  private readonly shop = inject(ShopStore);
  private readonly stock = inject(StockroomStore);
  private readonly plans = inject(OrderPlans);
  private readonly booking = inject(HoseBooking);

  readonly job = computed((): JudgedJob | null => {
    const [job, needs] = [this.view.job(), this.plans.needs()];
    if (!job || !needs || !this.stock.loaded()) return job;
    const { orders, cuts } = this.stock.room();
    const facts = storeFactsOf(job, needs, {
      today: today(),
      offers: this.plans.offers(),
      orders,
      cuts,
      others: this.booking.others().others,
    });
    return judgeJob(job.document, job.catalogue, job, this.shop.schools(), facts);
  });
}
