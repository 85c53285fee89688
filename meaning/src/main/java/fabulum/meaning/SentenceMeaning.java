package fabulum.meaning;

import ai.onnxruntime.OrtEnvironment;
import ai.onnxruntime.OrtException;
import ai.onnxruntime.OrtSession;
import dev.langchain4j.model.embedding.EmbeddingModel;
import dev.langchain4j.model.embedding.onnx.AbstractInProcessEmbeddingModel;
import dev.langchain4j.model.embedding.onnx.OnnxBertBiEncoder;
import dev.langchain4j.model.embedding.onnx.PoolingMode;
import fabulum.core.meaning.Meaning;
import fabulum.core.suggest.Suggester;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;

/**
 * The English sentence model bge-small-en-v1.5, quantized, in ONNX Runtime. It takes some 5 ms a
 * sentence and about 150 MB, and works in the thread that asks: the threads it would have of its
 * own wait for work by looping, on a core that others need.
 */
public final class SentenceMeaning implements Meaning {
  private static final String MODEL = "/bge-small-en-v1.5-q.onnx";
  private static final String TOKENIZER = "/bge-small-en-v1.5-q-tokenizer.json";

  private final EmbeddingModel model = new OneThread();
  private final KnownPoints known = KnownPoints.of(Suggester.fixedTexts());

  @Override
  public float[] of(String words) {
    return known.find(words).orElseGet(() -> computed(words));
  }

  /** By the model itself, though the text be one that is known. */
  float[] computed(String words) {
    // The model takes no empty text.
    return model.embed(words.isBlank() ? "-" : words).content().vector();
  }

  private static final class OneThread extends AbstractInProcessEmbeddingModel {
    private final OnnxBertBiEncoder encoder = load();

    OneThread() {
      super(Runnable::run);
    }

    @Override
    protected OnnxBertBiEncoder model() {
      return encoder;
    }

    private static OnnxBertBiEncoder load() {
      OrtEnvironment environment = OrtEnvironment.getEnvironment();
      try (InputStream network = packed(MODEL);
          InputStream tokenizer = packed(TOKENIZER);
          OrtSession.SessionOptions options = new OrtSession.SessionOptions()) {
        options.setIntraOpNumThreads(1);
        OrtSession session = environment.createSession(network.readAllBytes(), options);
        return new OnnxBertBiEncoder(environment, session, tokenizer, PoolingMode.CLS);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      } catch (OrtException e) {
        throw new IllegalStateException("The sentence model cannot be loaded", e);
      }
    }

    private static InputStream packed(String name) {
      return Objects.requireNonNull(SentenceMeaning.class.getResourceAsStream(name), name);
    }
  }
}
