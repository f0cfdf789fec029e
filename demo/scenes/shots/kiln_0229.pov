#include "kiln.inc"
Workshop()
SubjectBox(<-9,0,0>, <9,14,0>)
Photograph(<0,6.5,-38>, <0,6.5,0>, 52, 0, 0)
