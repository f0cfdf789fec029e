/**
 * What is asked of a handover: formats, folder and names, which crops, which share of them, and what to do where a name is
 * taken. Values only; {@link nexa.shoot.handover.HandoverPlan} makes a plan of them.
 */
@NullMarked
package nexa.shoot.handover.request;

import org.jspecify.annotations.NullMarked;
