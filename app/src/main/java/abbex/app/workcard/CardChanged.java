package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.people.Person;

/** A step of a stay's card was ticked or opened again: what it fits is on the vehicle, or off it. */
public record CardChanged(Person by, Job job) {}
