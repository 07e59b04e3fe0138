package org.scholion.server.platform;

import org.hibernate.type.descriptor.WrapperOptions;
import org.hibernate.type.descriptor.java.JavaType;
import org.hibernate.type.format.FormatMapper;
import org.scholion.formats.json.Json;

/** How Hibernate reads and writes {@code jsonb}: as documents, by the mapper that reads everything else. */
public final class JsonFormat implements FormatMapper {
    @Override
    public <T> T fromString(CharSequence text, JavaType<T> type, WrapperOptions options) {
        Class<T> wanted = type.getJavaTypeClass();
        if (wanted == String.class) {
            return wanted.cast(text.toString());
        }
        // With what is in it: a list of numbers is not a list of anything.
        return Json.MAPPER.readValue(text.toString(), Json.MAPPER.constructType(type.getJavaType()));
    }

    @Override
    public <T> String toString(T value, JavaType<T> type, WrapperOptions options) {
        return value instanceof String text ? text : Json.MAPPER.writeValueAsString(value);
    }
}
