package abbex.core.figure;

import java.lang.reflect.RecordComponent;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What the record of a finding says by its shape: its code, its place among the others, the names of its components. */
record FindingType(String code, int rank, List<RecordComponent> components) {
    private static final ClassValue<FindingType> TYPES = new ClassValue<>() {
        @Override
        protected FindingType computeValue(Class<?> type) {
            if (!type.isRecord()) {
                throw new IllegalStateException(type + " is a finding and no record");
            }
            String code =
                    type.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "_").toUpperCase(Locale.ROOT);
            return new FindingType(code, rank(type), List.of(type.getRecordComponents()));
        }
    };

    static FindingType of(Finding finding) {
        return TYPES.get(finding.getClass());
    }

    /** Its place in the sealed interface that it belongs to. */
    private static int rank(Class<?> type) {
        for (Class<?> family : type.getInterfaces()) {
            if (family.isSealed()) {
                return List.of(family.getPermittedSubclasses()).indexOf(type);
            }
        }
        throw new IllegalStateException(type + " belongs to no sealed interface");
    }

    Map<String, Object> named(Finding finding) {
        Map<String, Object> named = new LinkedHashMap<>();
        for (RecordComponent component : components) {
            named.put(component.getName(), value(component, finding));
        }
        return Collections.unmodifiableMap(named);
    }

    private static Object value(RecordComponent component, Finding finding) {
        try {
            return component.getAccessor().invoke(finding);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(component + " cannot be read", e);
        }
    }
}
