package fabulum.demo;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * How much the demonstration tells.
 *
 * @param past how many conversations are finished; some of them are open again
 * @param months how far back the first of them lies
 */
@Validated
@ConfigurationProperties("fabulum.demo")
record DemoSettings(
    @DefaultValue("1500") @Min(30) @Max(1_500) int past,
    @DefaultValue("18") @Min(1) @Max(36) int months) {}
