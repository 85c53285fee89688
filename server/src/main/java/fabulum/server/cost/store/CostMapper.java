package fabulum.server.cost.store;

import fabulum.server.cost.AllowanceSetup;
import fabulum.server.cost.PriceSetup;
import fabulum.server.cost.Purchase;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Prices, allowances and what was counted in them. */
@Mapper
public interface CostMapper {
  CostSettingsRow settings();

  /** Returns 0 when the version is another by now. */
  int update(String currency, long version);

  List<PriceSetup> listPrices();

  void insertPrice(PriceSetup price);

  void deletePrices();

  List<AllowanceRow> listAllowances();

  void insertAllowance(AllowanceSetup allowance);

  void setParts(long id, int parts);

  void deleteAllowance(long id);

  /**
   * Holds allowances, in the order of their ids, so that texts counted in them follow each other.
   */
  List<Long> lock(List<Long> ids);

  /** Parts that everyone and the program sent on some days. */
  long sumSent(LocalDate first, LocalDate last);

  /**
   * Parts that people sent on some days.
   *
   * @param staffId by whom; null for everyone
   * @param teamId from the lines of which team; null for all
   */
  long sumSentByPeople(
      @Nullable Long staffId, @Nullable Long teamId, LocalDate first, LocalDate last);

  /** Adds to a row; returns 0 when it is not there. */
  int addSent(SentRow row);

  /** Adds an empty row, if it is not there. */
  int insertSent(SentRow row);

  List<Purchase> listBought();

  void insertBought(Purchase bought, long staffId);
}
