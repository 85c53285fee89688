package fabulum.core.attachment;

import static fabulum.core.attachment.FileKind.CONTACT;
import static fabulum.core.attachment.FileKind.DOCUMENT;
import static fabulum.core.attachment.FileKind.OTHER;
import static fabulum.core.attachment.FileKind.PDF;
import static fabulum.core.attachment.FileKind.PICTURE;
import static fabulum.core.attachment.FileKind.SOUND;
import static fabulum.core.attachment.FileKind.VIDEO;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FileKindTest {

  @ParameterizedTest
  @CsvSource({
    "image/jpeg, PICTURE, true",
    "image/heic, PICTURE, false",
    "image/svg+xml, OTHER, false",
    "audio/mpeg, SOUND, true",
    "audio/amr, SOUND, false",
    "video/mp4, VIDEO, true",
    "video/3gpp, VIDEO, false",
    "application/pdf, PDF, true",
    "text/vcard, CONTACT, false",
    "text/plain, DOCUMENT, false",
    "text/html, OTHER, false",
    "application/zip, OTHER, false",
    "application/x-msdownload, OTHER, false",
    "application/vnd.oasis.opendocument.text, DOCUMENT, false",
  })
  void aMediaTypeIsOfAKindAndShownOnlyWhereItCanDoNoHarm(
      String type, FileKind kind, boolean shown) {
    assertThat(FileKind.of(type)).isEqualTo(kind);
    assertThat(FileKind.isShown(type)).isEqualTo(shown);
  }

  @Test
  void whatStandsForATextWithoutWordsCountsEachKind() {
    assertThat(FileKind.said(List.of())).isEmpty();
    assertThat(FileKind.said(List.of(PICTURE))).isEqualTo("Picture");
    assertThat(FileKind.said(List.of(PDF, PICTURE, PICTURE))).isEqualTo("2 pictures and PDF");
    assertThat(FileKind.said(List.of(VIDEO, SOUND, CONTACT, OTHER, DOCUMENT)))
        .isEqualTo("Sound, video, document, contact card and file");
  }
}
