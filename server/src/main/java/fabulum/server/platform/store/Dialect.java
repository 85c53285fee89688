package fabulum.server.platform.store;

import org.apache.ibatis.annotations.Mapper;

/** Fragments of SQL for the mappers, in the dialect of the database that is used. */
@Mapper
public interface Dialect {}
