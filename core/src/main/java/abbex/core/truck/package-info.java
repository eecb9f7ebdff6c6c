/** Trucks: leaf packs and shackles, drivelines, helper bags. Nothing here knows an interface. */
@org.jspecify.annotations.NullMarked
package abbex.core.truck;
