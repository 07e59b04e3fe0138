package org.scholion.server.testing;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Counts what goes to the database: statements, and rows that come back or are written. Not where speed is measured. */
@Component
@ConditionalOnProperty(name = "scholion.counting", matchIfMissing = true)
public class Counting implements BeanPostProcessor {
    private final AtomicLong statements = new AtomicLong();
    private final AtomicLong rows = new AtomicLong();

    /** What something cost. */
    public record Cost(long statements, long rows) {}

    /** Counts what requests cost meanwhile; what goes on in the background is not counted. */
    public Cost of(Runnable work) {
        long statementsBefore = statements.get();
        long rowsBefore = rows.get();
        work.run();
        return new Cost(statements.get() - statementsBefore, rows.get() - rowsBefore);
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source ? watched(DataSource.class, source) : bean;
    }

    private <T> T watched(Class<T> type, T real) {
        InvocationHandler handler = (proxy, method, arguments) -> {
            Object result = invoke(real, method, arguments);
            count(method.getName(), result);
            if (result instanceof Connection connection && !method.getName().equals("unwrap")) {
                return watched(Connection.class, connection);
            }
            if (result instanceof java.sql.CallableStatement) {
                return result;
            }
            if (result instanceof java.sql.PreparedStatement statement) {
                return watched(java.sql.PreparedStatement.class, statement);
            }
            if (result instanceof Statement statement && real instanceof Connection) {
                return watched(Statement.class, statement);
            }
            return result instanceof ResultSet set ? watched(ResultSet.class, set) : result;
        };
        return type.cast(Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, handler));
    }

    private static Object invoke(Object real, Method method, Object[] arguments) throws Throwable {
        try {
            return method.invoke(real, arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        }
    }

    private void count(String method, Object result) {
        if (!Thread.currentThread().getName().startsWith("http-")) {
            return;
        }
        if (method.startsWith("execute")) {
            statements.incrementAndGet();
            if (result instanceof int[] updated) {
                rows.addAndGet(updated.length);
            } else if (result instanceof Integer updated) {
                rows.addAndGet(updated);
            }
        } else if (method.equals("next") && Boolean.TRUE.equals(result)) {
            rows.incrementAndGet();
        }
    }
}
