"""Steps done off the lathe: sawing, flats, keyways, burrs, joints, fitting."""
