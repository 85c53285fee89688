package fabulum.meaning;

import ai.onnxruntime.OrtEnvironment;
import ai.onnxruntime.OrtException;
import ai.onnxruntime.OrtSession;
import dev.langchain4j.model.embedding.onnx.AbstractInProcessEmbeddingModel;
import dev.langchain4j.model.embedding.onnx.OnnxBertBiEncoder;
import dev.langchain4j.model.embedding.onnx.PoolingMode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;

/**
 * A sentence model in ONNX Runtime. It works in the thread that asks: the threads it would have of
 * its own wait for work by looping, on a core that others need.
 */
final class OneThread extends AbstractInProcessEmbeddingModel {
  private final OnnxBertBiEncoder encoder;

  OneThread(String network, String tokenizer, PoolingMode pooling) {
    super(Runnable::run);
    this.encoder = load(network, tokenizer, pooling);
  }

  /** Where words lie. */
  float[] point(String words) {
    // The model takes no empty text.
    return embed(words.isBlank() ? "-" : words).content().vector();
  }

  @Override
  protected OnnxBertBiEncoder model() {
    return encoder;
  }

  private static OnnxBertBiEncoder load(String network, String tokenizer, PoolingMode pooling) {
    OrtEnvironment environment = OrtEnvironment.getEnvironment();
    try (InputStream weights = packed(network);
        InputStream words = packed(tokenizer);
        OrtSession.SessionOptions options = new OrtSession.SessionOptions()) {
      options.setIntraOpNumThreads(1);
      OrtSession session = environment.createSession(weights.readAllBytes(), options);
      return new OnnxBertBiEncoder(environment, session, words, pooling);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (OrtException e) {
      throw new IllegalStateException("The sentence model cannot be loaded", e);
    }
  }

  private static InputStream packed(String name) {
    return Objects.requireNonNull(OneThread.class.getResourceAsStream(name), name);
  }
}
