package pied.core;

import java.lang.annotation.Documented;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;

/** May be missing. */
@Documented
@Retention(RetentionPolicy.RUNTIME)
public @interface Nullable {}
