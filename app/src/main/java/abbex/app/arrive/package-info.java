/** Receiving a vehicle: what the shop knows of vehicles and stays. Owns the tables vehicle, vehicle_measure, job, job_advertised. */
@NullMarked
package abbex.app.arrive;

import org.jspecify.annotations.NullMarked;
