package fabulum.server.notices.store;

import fabulum.core.notice.Channel;
import fabulum.core.notice.Kind;

/** A row of notice_choice. */
public record ChosenRow(Kind kind, Channel channel, boolean chosen) {}
