package fabulum.meaning;

import dev.langchain4j.model.embedding.EmbeddingModel;
import dev.langchain4j.model.embedding.onnx.bgesmallenv15q.BgeSmallEnV15QuantizedEmbeddingModel;
import fabulum.core.meaning.Meaning;

/**
 * The English sentence model bge-small-en-v1.5, quantized, in ONNX Runtime. It takes some 5 ms a
 * sentence and about 150 MB.
 */
public final class SentenceMeaning implements Meaning {
  private final EmbeddingModel model = new BgeSmallEnV15QuantizedEmbeddingModel(Runnable::run);

  @Override
  public float[] of(String words) {
    // The model takes no empty text.
    return model.embed(words.isBlank() ? "-" : words).content().vector();
  }
}
