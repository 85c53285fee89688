package fabulum.server.platform;

import java.util.Set;
import org.apache.ibatis.cache.CacheKey;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Plugin;
import org.apache.ibatis.plugin.Signature;
import org.apache.ibatis.session.ResultHandler;
import org.apache.ibatis.session.RowBounds;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Every statement that writes passes here; while the disk is full none does. */
@Component
@Intercepts({
  @Signature(
      type = Executor.class,
      method = "update",
      args = {MappedStatement.class, Object.class}),
  @Signature(
      type = Executor.class,
      method = "query",
      args = {MappedStatement.class, Object.class, RowBounds.class, ResultHandler.class}),
  @Signature(
      type = Executor.class,
      method = "query",
      args = {
        MappedStatement.class,
        Object.class,
        RowBounds.class,
        ResultHandler.class,
        CacheKey.class,
        BoundSql.class
      })
})
class DiskGate implements Interceptor {
  /** A few octets each, so that people can still sign in and read. */
  private static final Set<String> SMALL = Set.of("SignInMapper", "SecretMapper");

  private final DiskReserve reserve;

  DiskGate(DiskReserve reserve) {
    this.reserve = reserve;
  }

  /**
   * Only what runs statements is wrapped; else each statement would pay for three wrappings more.
   */
  @Override
  public Object plugin(Object target) {
    return target instanceof Executor ? Plugin.wrap(target, this) : target;
  }

  @Override
  public @Nullable Object intercept(Invocation call) throws Throwable {
    MappedStatement statement = (MappedStatement) call.getArgs()[0];
    boolean writes = call.getMethod().getName().equals("update") || statement.isDirtySelect();
    if (writes && !isSmall(statement.getId())) {
      reserve.requireRoom();
    }
    return call.proceed();
  }

  private static boolean isSmall(String id) {
    int end = id.lastIndexOf('.');
    return SMALL.contains(id.substring(id.lastIndexOf('.', end - 1) + 1, end));
  }
}
