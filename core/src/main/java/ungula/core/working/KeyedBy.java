package ungula.core.working;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Names the list a map's keys are of, such as {@link FigureKeys#of}, for the contract to say. */
@Target(ElementType.RECORD_COMPONENT)
@Retention(RetentionPolicy.RUNTIME)
public @interface KeyedBy {
  String value();
}
