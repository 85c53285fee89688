package fabulum.server.notices.store;

import fabulum.core.notice.Kind;
import fabulum.core.notice.NoticeChannel;

/** A row of notice_choice. */
public record ChosenRow(Kind kind, NoticeChannel channel, boolean chosen) {}
