package org.undanus.server.store;

import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.util.ClassUtils;

/**
 * Makes records of rows whose first columns stand in the order of the record's components: by number, for of a hundred thousand
 * installations finding fields by name would take longer than reading and judging together.
 */
public final class RecordRow<T extends Record> implements RowMapper<T> {
    private final Constructor<T> made;
    /** What each column is asked for as: no primitive. */
    private final Class<?>[] types;

    /** @throws IllegalArgumentException where it is no record */
    public RecordRow(Class<T> kind) {
        try {
            Class<?>[] components = Arrays.stream(kind.getRecordComponents())
                    .map(RecordComponent::getType)
                    .toArray(Class<?>[]::new);
            types = Arrays.stream(components)
                    .map(ClassUtils::resolvePrimitiveIfNecessary)
                    .toArray(Class<?>[]::new);
            made = kind.getDeclaredConstructor(components);
            made.setAccessible(true);
        } catch (NoSuchMethodException e) {
            throw new IllegalArgumentException(e);
        }
    }

    /** How many columns it takes; what follows them is the caller's. */
    public int width() {
        return types.length;
    }

    /** @throws SQLException where a column is of another type */
    @Override
    public T mapRow(ResultSet row, int number) throws SQLException {
        Object[] values = new Object[types.length];
        for (int i = 0; i < types.length; i++) {
            values[i] = value(row, i + 1, types[i]);
        }
        try {
            return made.newInstance(values);
        } catch (ReflectiveOperationException e) {
            throw new SQLException("A row of " + made.getDeclaringClass().getSimpleName() + " cannot be read.", e);
        }
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static Object value(ResultSet row, int column, Class<?> type) throws SQLException {
        if (type.isEnum()) {
            String name = row.getString(column);
            return name == null ? null : Enum.valueOf((Class<? extends Enum>) type, name);
        }
        return type == String.class ? row.getString(column) : row.getObject(column, type);
    }
}
