package org.scholion.server.platform;

import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Refuses a request in which a field is missing, by the field's name: what is not marked nullable has to be there. */
@ControllerAdvice
class WholeRequests extends RequestBodyAdviceAdapter {
    /** Looked up once for each kind of request: Java reads annotations anew each time it is asked. */
    private static final ClassValue<List<Field>> FIELDS = new ClassValue<>() {
        @Override
        protected List<Field> computeValue(Class<?> type) {
            return Arrays.stream(type.getRecordComponents())
                    .map(c -> {
                        c.getAccessor().setAccessible(true);
                        return new Field(c.getName(), c.getAnnotatedType(), c.getAccessor());
                    })
                    .toList();
        }
    };

    private record Field(String name, AnnotatedType type, Method accessor) {
        @Nullable
        Object of(Object record) {
            try {
                return accessor.invoke(record);
            } catch (IllegalAccessException | InvocationTargetException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return parameter.getParameterType().isRecord();
    }

    @Override
    public Object afterBodyRead(
            @Nullable Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        if (body == null) {
            throw Refused.invalid("body", "nothing is said here; load the page anew");
        }
        List<Fault> missing = new ArrayList<>();
        look(body, "", missing);
        if (!missing.isEmpty()) {
            throw Refused.invalid(missing);
        }
        return body;
    }

    private static void look(Object record, String path, List<Fault> missing) {
        for (Field field : FIELDS.get(record.getClass())) {
            String place = path.isEmpty() ? field.name() : path + "." + field.name();
            look(field.of(record), field.type(), place, missing);
        }
    }

    private static void look(@Nullable Object value, AnnotatedType type, String place, List<Fault> missing) {
        if (value == null) {
            if (!type.isAnnotationPresent(Nullable.class)) {
                missing.add(new Fault(place, "is missing"));
            }
        } else if (value.getClass().isRecord()) {
            look(value, place, missing);
        } else if (value instanceof Collection<?> list && type instanceof AnnotatedParameterizedType generic) {
            int i = 0;
            for (Object element : list) {
                look(element, generic.getAnnotatedActualTypeArguments()[0], place + "[" + i + "]", missing);
                i++;
            }
        } else if (value instanceof Map<?, ?> map && type instanceof AnnotatedParameterizedType generic) {
            map.forEach((name, element) ->
                    look(element, generic.getAnnotatedActualTypeArguments()[1], place + "." + name, missing));
        }
    }
}
