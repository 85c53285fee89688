package fabulum.server.figures.store;

import fabulum.core.report.Measure;
import fabulum.server.figures.PricePlanView;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Sums of days, and what they are made from. */
@Mapper
public interface FigureMapper {
  /** What happened on a line from one instant to before another. */
  List<FactRow> listFacts(long lineId, Instant from, Instant to);

  List<TopicSpanRow> listTopicSpans(List<Long> conversations);

  /** Waits that ended on a line from one instant to before another. */
  List<WaitRow> listEndedWaits(long lineId, Instant from, Instant to);

  /** Waits that have not ended. */
  List<WaitRow> listOpenWaits(Instant now);

  List<TouchedRow> listTouched(List<Long> entries);

  /** When entries of a conversation stand from an instant on. */
  List<Instant> listTimes(long conversationId, Instant from);

  @Nullable Instant findFirst();

  /** When the first entry of a line stands. */
  @Nullable Instant findFirstOf(long lineId);

  @Nullable LocalDate findFirstSum(long lineId);

  List<Long> listLinesOf(List<Long> conversations);

  void deleteSums(long lineId, LocalDate day);

  void deleteHours(long lineId, LocalDate day);

  void deleteCosts(long lineId, LocalDate day);

  void deleteFailures(long lineId, LocalDate day);

  void insertSums(List<SumRow> rows);

  void insertHours(HoursRow row);

  void insertCosts(List<CostRow> rows);

  void insertFailures(List<FailureRow> rows);

  /**
   * Sums of some days.
   *
   * @param topicId 0 for whatever it was about, null for every topic by itself and -1 for none
   */
  List<SumRow> listSums(
      long lineId,
      LocalDate first,
      LocalDate last,
      List<Measure> measures,
      @Nullable Long topicId,
      @Nullable Long staffId);

  List<HoursRow> listHours(long lineId, LocalDate first, LocalDate last);

  List<CostRow> listCosts(long lineId, LocalDate first, LocalDate last, @Nullable Long staffId);

  List<FailureRow> listFailures(long lineId, LocalDate first, LocalDate last);

  List<CaseRow> listCases(List<Long> entries);

  void deleteCases(List<Long> entries);

  void insertCases(List<CaseRow> rows);

  /**
   * What stands behind a figure of a line, {@link CaseRow#FURTHEST_FIRST}.
   *
   * @param month in which it is, as {@link CaseRow#month} says it
   * @param from the instant, also within the month
   * @param to before this instant
   * @param least how far beyond its promise at least
   */
  List<CaseRow> listFurthest(
      long lineId, int month, Instant from, Instant to, BehindChoice choice, long least, int limit);

  /** Entries, in no order. */
  List<BehindRow> listBehind(List<Long> entries);

  List<PricePlanView> listPlans();

  long insertPlan(PricePlanView plan);

  int updatePlan(PricePlanView plan);

  int deletePlan(long id);

  /** Holds the row that lets only one make sums. */
  long lock();

  @Nullable Long findFeed();

  void setFeed(@Nullable Long number);

  @Nullable String findZone(long lineId);

  void deleteZone(long lineId);

  void insertZone(long lineId, String zone);
}
