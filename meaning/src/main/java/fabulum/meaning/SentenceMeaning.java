package fabulum.meaning;

import dev.langchain4j.model.embedding.onnx.PoolingMode;
import fabulum.core.meaning.Meaning;
import fabulum.core.suggest.Suggester;
import java.util.Arrays;

/**
 * The English sentence model bge-small-en-v1.5, quantized. It takes some 5 ms a sentence and about
 * 150 MB.
 */
public final class SentenceMeaning implements Meaning {
  /** Numbers in a point. */
  static final int LENGTH = 384;

  private final OneThread model =
      new OneThread(
          "/bge-small-en-v1.5-q.onnx", "/bge-small-en-v1.5-q-tokenizer.json", PoolingMode.CLS);
  private final KnownPoints known = KnownPoints.of(Suggester.fixedTexts());

  @Override
  public float[] of(String words) {
    return known
        .find(words)
        .map(point -> Arrays.copyOf(point, LENGTH))
        .orElseGet(() -> computed(words));
  }

  @Override
  public FineMeaning fine() {
    return new FineMeaning(this, known);
  }

  /** By the model itself, though the text be one that is known. */
  float[] computed(String words) {
    return model.point(words);
  }
}
