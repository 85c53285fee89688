import {
  type InvalidateOptions,
  type InvalidateQueryFilters,
  QueryClient,
  type QueryClientConfig,
  type QueryFilters,
  type QueryKey,
  type SetDataOptions,
} from '@tanstack/react-query';

type SetData = (queryKey: QueryKey, updater: unknown, options?: SetDataOptions) => unknown;

/**
 * What the page has read of the server. What nobody looks at is read again when somebody does, but only while it counts as old. So what
 * was asked for before a change never counts as read after it, and what was old stays so when a part of it is set.
 */
export class Readings extends QueryClient {
  constructor(config?: QueryClientConfig) {
    super(config);
    // Its type has more parameters than can be written down a second time.
    const setData = this.setQueryData.bind(this) as SetData;
    const setPart: SetData = (queryKey, updater, options) => {
      const wasOld = this.getQueryState(queryKey)?.isInvalidated;
      const data = setData(queryKey, updater, options);
      // A function changes a part of what was read; a value is all of it.
      if (wasOld && typeof updater === 'function') this.getQueryCache().find({ queryKey, exact: true })?.invalidate();
      return data;
    };
    this.setQueryData = setPart as QueryClient['setQueryData'];
  }

  /** What is looked at is asked for anew; an answer that is on its way to anything else would make that count as new. */
  override invalidateQueries<Key extends QueryKey = QueryKey>(
    filters?: InvalidateQueryFilters<Key>,
    options?: InvalidateOptions,
  ): Promise<void> {
    const underWay = { ...filters, type: 'inactive', fetchStatus: 'fetching' } as QueryFilters;
    void this.cancelQueries(underWay);
    return super.invalidateQueries(filters, options);
  }
}
