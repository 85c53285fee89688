package fabulum.standins;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** How the network misbehaves: towards everybody, and otherwise towards single handsets. */
@Component
class Misbehaviour {
  private final Map<String, Faults> byHandset = new ConcurrentHashMap<>();
  private volatile Faults towardsAll = Faults.NONE;

  Faults towardsAll() {
    return towardsAll;
  }

  /** Towards one handset; whether the network is down, slow or strange is the same for all. */
  Faults towards(String handset) {
    return byHandset.getOrDefault(handset, towardsAll);
  }

  void set(Faults wanted) {
    towardsAll = wanted;
  }

  void set(String handset, Faults wanted) {
    byHandset.put(handset, wanted);
  }

  /** Uses up what was set towards everybody. */
  void useOfAll(UnaryOperator<Faults> change) {
    towardsAll = change.apply(towardsAll);
  }

  /** Uses up what was set for the next texts of a handset. */
  void use(String handset, UnaryOperator<Faults> change) {
    if (byHandset.containsKey(handset)) {
      byHandset.computeIfPresent(handset, (number, now) -> change.apply(now));
    } else {
      towardsAll = change.apply(towardsAll);
    }
  }
}
