package org.scholion.server.platform;

import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.aop.support.AopUtils;
import org.springframework.context.ApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.bind.annotation.RestController;

/** Tells the description of the API which fields are always there: all of a record's, but for those marked nullable. */
@Configuration
class OpenApiRequired {
    @Bean
    OpenApiCustomizer required(ApplicationContext context) {
        return api -> {
            Map<String, Class<?>> records = records(context);
            api.getComponents().getSchemas().forEach((name, schema) -> {
                Class<?> type = records.get(name);
                if (type != null) {
                    require(schema, type);
                }
            });
        };
    }

    private static void require(Schema<?> schema, Class<?> type) {
        List<String> required = new ArrayList<>();
        for (RecordComponent component : type.getRecordComponents()) {
            Schema<?> property = schema.getProperties() == null
                    ? null
                    : (Schema<?>) schema.getProperties().get(component.getName());
            if (property == null) {
                continue;
            }
            required.add(component.getName());
            if (isNullable(component)) {
                allowNull(schema, component.getName(), property);
            }
            if (hasNullableElements(component) && property.getItems() != null) {
                property.setItems(new Schema<>().anyOf(List.of(property.getItems(), typed("null"))));
            }
        }
        schema.setRequired(required);
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void allowNull(Schema schema, String name, Schema<?> property) {
        if (property.get$ref() != null) {
            schema.getProperties().put(name, new Schema<>().anyOf(List.of(property, typed("null"))));
        } else if (property.getTypes() != null) {
            Set<String> types = new LinkedHashSet<>(property.getTypes());
            types.add("null");
            property.setTypes(types);
        }
    }

    private static Schema<?> typed(String type) {
        Schema<?> schema = new Schema<>();
        schema.setTypes(Set.of(type));
        return schema;
    }

    private static boolean isNullable(RecordComponent component) {
        return component.getAnnotatedType().isAnnotationPresent(Nullable.class);
    }

    private static boolean hasNullableElements(RecordComponent component) {
        return component.getAnnotatedType() instanceof AnnotatedParameterizedType generic
                && generic.getAnnotatedActualTypeArguments()[0].isAnnotationPresent(Nullable.class);
    }

    /** Every record that a controller takes or gives, by its simple name. */
    private static Map<String, Class<?>> records(ApplicationContext context) {
        Map<String, Class<?>> found = new HashMap<>();
        context.getBeansWithAnnotation(RestController.class).values().forEach(bean -> {
            for (var method : AopUtils.getTargetClass(bean).getDeclaredMethods()) {
                collect(method.getGenericReturnType(), found);
                for (var parameter : method.getGenericParameterTypes()) {
                    collect(parameter, found);
                }
            }
        });
        return found;
    }

    private static void collect(java.lang.reflect.Type type, Map<String, Class<?>> found) {
        if (type instanceof java.lang.reflect.ParameterizedType generic) {
            for (var argument : generic.getActualTypeArguments()) {
                collect(argument, found);
            }
        } else if (type instanceof Class<?> c && c.isRecord() && found.putIfAbsent(c.getSimpleName(), c) == null) {
            for (RecordComponent component : c.getRecordComponents()) {
                collect(component.getGenericType(), found);
            }
        }
    }
}
