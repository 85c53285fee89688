import {
  type InvalidateOptions,
  type InvalidateQueryFilters,
  QueryClient,
  type QueryFilters,
  type QueryKey,
} from '@tanstack/react-query';

/** What the page has read of the server. What was asked for before a change never counts as read after it. */
export class Readings extends QueryClient {
  /**
   * What nobody looks at now is read when somebody does, but not if it counts as new; an answer that is still on its way would make it
   * so. What is looked at is asked for anew anyway.
   */
  override invalidateQueries<Key extends QueryKey = QueryKey>(
    filters?: InvalidateQueryFilters<Key>,
    options?: InvalidateOptions,
  ): Promise<void> {
    const underWay = { ...filters, type: 'inactive', fetchStatus: 'fetching' } as QueryFilters;
    void this.cancelQueries(underWay);
    return super.invalidateQueries(filters, options);
  }
}
