package app.yellowtab.json;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.BeanDescription;
import tools.jackson.databind.DeserializationConfig;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.ValueInstantiator;
import tools.jackson.databind.deser.ValueInstantiators;
import tools.jackson.databind.deser.std.StdValueInstantiator;

/**
 * Makes records by calling their constructors. Jackson's own way links a chain of method handles for each kind of record first;
 * where a program has only just begun and reads one bundle, that takes longer than the reading.
 */
final class RecordMaking extends ValueInstantiators.Base {
    @Override
    public ValueInstantiator modifyValueInstantiator(DeserializationConfig config, BeanDescription.Supplier type,
            ValueInstantiator usual) {
        return type.getBeanClass().isRecord() && usual instanceof StdValueInstantiator its ? new OfRecord(its) : usual;
    }

    private static final class OfRecord extends StdValueInstantiator {
        OfRecord(StdValueInstantiator usual) {
            super(usual);
        }

        @Override
        public Object createFromObjectWith(DeserializationContext context, Object[] components) throws JacksonException {
            if (!(_withArgsCreator != null && _withArgsCreator.getAnnotated() instanceof Constructor<?> constructor))
                return super.createFromObjectWith(context, components);
            try {
                return constructor.newInstance(components);
            } catch (InvocationTargetException refused) {
                // What is wrong with the machine is no matter of the file.
                if (refused.getCause() instanceof Error error) throw error;
                return context.handleInstantiationProblem(_valueClass, components,
                        rewrapCtorProblem(context, refused.getCause()));
            } catch (ReflectiveOperationException | IllegalArgumentException wrong) {
                return context.handleInstantiationProblem(_valueClass, components, rewrapCtorProblem(context, wrong));
            }
        }
    }
}
