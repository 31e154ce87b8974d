package underhand.server.platform;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.databind.BeanDescription;
import com.fasterxml.jackson.databind.DeserializationConfig;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.deser.BeanDeserializerBuilder;
import com.fasterxml.jackson.databind.deser.BeanDeserializerModifier;
import com.fasterxml.jackson.databind.deser.NullValueProvider;
import com.fasterxml.jackson.databind.deser.SettableBeanProperty;
import com.fasterxml.jackson.databind.exc.InvalidNullException;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.util.AccessPattern;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.Serial;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * A null that is sent means something only where the description of the API says so; elsewhere it is an error with its place.
 * A field that is not sent at all has the meaning its call gives it.
 */
@Configuration
class NullsByMeaning {

    @Bean
    Jackson2ObjectMapperBuilderCustomizer asDescribed() {
        return builder -> builder.postConfigurer(json -> {
            json.setDefaultSetterInfo(JsonSetter.Value.forContentNulls(Nulls.FAIL));
            json.registerModule(new SimpleModule("nulls by meaning").setDeserializerModifier(new Described()));
        });
    }

    private static final class Described extends BeanDeserializerModifier {
        @Serial
        private static final long serialVersionUID = 1L;

        @Override
        public BeanDeserializerBuilder updateBuilder(
                DeserializationConfig config, BeanDescription type, BeanDeserializerBuilder builder) {
            SettableBeanProperty[] arguments = builder.getValueInstantiator().getFromObjectArguments(config);
            if (arguments != null && type.getBeanClass().isRecord()) {
                for (int i = 0; i < arguments.length; i++) {
                    SettableBeanProperty property = arguments[i];
                    if (!mayBeNull(property) && !property.getType().isPrimitive()) {
                        arguments[i] = property.withNullProvider(new NoNull(property));
                        builder.addOrReplaceProperty(arguments[i], true);
                    }
                }
            }
            return builder;
        }

        private static boolean mayBeNull(SettableBeanProperty property) {
            Schema schema = property.getAnnotation(Schema.class);
            return schema != null && schema.nullable();
        }
    }

    /** Refuses a null that was sent; nothing was sent is another thing. */
    private record NoNull(SettableBeanProperty property) implements NullValueProvider {

        @Override
        public Object getNullValue(DeserializationContext context) throws JsonMappingException {
            throw InvalidNullException.from(context, property.getFullName(), property.getType());
        }

        @Override
        public Object getAbsentValue(DeserializationContext context) {
            return null;
        }

        @Override
        public AccessPattern getNullAccessPattern() {
            return AccessPattern.DYNAMIC;
        }
    }
}
