/** Stand-ins for measuring instruments, a process of its own: what they say on the line, and what may go wrong with it. */
package abbex.instruments;
