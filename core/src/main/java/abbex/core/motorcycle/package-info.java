/** Motorcycles: steering geometry, rear linkages as plane mechanisms, forks, side stands, how far one leans. Nothing here knows an interface. */
@org.jspecify.annotations.NullMarked
package abbex.core.motorcycle;
