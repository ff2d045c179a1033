"""Water and steam at saturation from the library iapws (IAPWS-IF97), as JSON."""
import json
from iapws import IAPWS97

rows = []
for temp_c in (1, 5, 20, 40, 60, 80, 99.9):
    liquid = IAPWS97(T=temp_c + 273.15, x=0)
    vapour = IAPWS97(T=temp_c + 273.15, x=1)
    rows.append({
        "tempC": temp_c,
        "pressurePa": liquid.P * 1e6,
        "latentJPerKg": (vapour.h - liquid.h) * 1e3,
        "heatCapacityJPerKgK": liquid.cp * 1e3,
        "conductivityWPerMK": liquid.k,
        "densityKgPerM3": liquid.rho,
    })
print(json.dumps(rows))
