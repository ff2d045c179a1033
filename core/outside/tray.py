"""A tray of rice cooling, the equations of the project solved by scipy's Radau with steam from iapws: heat and water
coupled, 60 cells, no table and no operator splitting. Reads cases from standard input, writes core curves as JSON."""
import json
import sys

import numpy as np
from iapws import IAPWS97
from scipy.integrate import solve_ivp
from scipy.optimize import brentq
from scipy.sparse import bmat, diags

GRID_C = np.linspace(1, 100, 100)
STEAM = [IAPWS97(T=t + 273.15, x=1) for t in GRID_C]
LOG_P = np.log([s.P * 1e6 for s in STEAM])
LATENT = np.array([(s.h - IAPWS97(T=t + 273.15, x=0).h) * 1e3 for s, t in zip(STEAM, GRID_C)])
P0, RV = 101325.0, 461.52
POROSITY = 0.35


def psat(t):
    return np.exp(np.interp(t, GRID_C, LOG_P))


def latent(t):
    return np.interp(t, GRID_C, LATENT)


def slope(t):
    return psat(t) * latent(t) / (RV * (t + 273.15) ** 2)


def vapour_diffusivity(t):
    return 2.12e-5 * ((t + 273.15) / 273.15) ** 1.94


def ratio(x):
    return (0.13 / np.maximum(x, 1e-6)) ** (1 / 0.33)


def activity(x):
    return 1 / (1 + ratio(x))


def conductivity(t, x, most):
    grain = np.minimum(0.4 + 0.0013 * t, most)
    vapour = vapour_diffusivity(t) * latent(t) * slope(t) / (RV * (t + 273.15)) * P0 / (P0 - psat(t)) * activity(x)
    pore = np.minimum(0.027 + vapour, 2)
    return grain * (2 * grain + pore - 2 * POROSITY * (grain - pore)) / (2 * grain + pore + POROSITY * (grain - pore))


def water_diffusivity(t, x, dry):
    liquid = 3e-10 * np.exp(30000 / 8.314 * (1 / 298.15 - 1 / (t + 273.15)))
    r = ratio(x)
    activity_slope = r / (0.33 * x * (1 + r) ** 2)
    return liquid + POROSITY * 0.6 * vapour_diffusivity(t) * psat(t) / (RV * (t + 273.15)) * activity_slope / dry


def solve(case):
    n, depth = 60, case["depthM"]
    widths = 0.9 ** np.arange(n)
    widths = np.maximum(widths, widths.max() / 12)
    widths *= depth / widths.sum()
    apart = (widths[:-1] + widths[1:]) / 2
    bed, top, bottom = case["bed"], case["top"], case["bottom"]

    def surface(cell, k, x):
        def balance(ts):
            heat, _ = leaving(ts, x)
            return 2 * k / widths[-1] * (cell - ts) - heat
        return brentq(balance, top["tempC"] - 5, cell + 1, xtol=1e-9)

    def leaving(ts, x):
        heat = top["heatTransferWPerM2K"] * (ts - top["tempC"])
        heat += top["radiatingShare"] * 5.670374e-8 * ((ts + 273.15) ** 4 - (top["tempC"] + 273.15) ** 4)
        film = (ts + top["tempC"]) / 2 + 273.15
        hm = top["heatTransferWPerM2K"] / (1207 * 0.911)
        water = hm * P0 / (RV * film) * np.log(
            (P0 - top["humidity"] * psat(top["tempC"])) / (P0 - activity(x) * psat(ts)))
        return heat + water * latent(ts), water

    def rate(_, y):
        t, x = y[:n], y[n:]
        k = conductivity(t, x, bed["mostGrainWPerMK"])
        flow = 2 * (t[:-1] - t[1:]) / (widths[:-1] / k[:-1] + widths[1:] / k[1:])
        ts = surface(t[-1], k[-1], x[-1])
        heat, water = leaving(ts, x[-1])
        base = (t[0] - bottom["tempC"]) / (1 / bottom["heatTransferWPerM2K"] + widths[0] / (2 * k[0]))
        through = np.concatenate(([-base], flow, [heat]))
        d = water_diffusivity(t, x, bed["dryDensityKgPerM3"])
        wet = (d[:-1] + d[1:]) / 2 * bed["dryDensityKgPerM3"] * (x[:-1] - x[1:]) / apart
        drying = np.concatenate(([0], wet, [water]))
        return np.concatenate((
            (through[:-1] - through[1:]) / (bed["heatCapacityJPerM3K"] * widths),
            (drying[:-1] - drying[1:]) / (bed["dryDensityKgPerM3"] * widths)))

    x0 = case["waterFraction"] / (1 - case["waterFraction"])
    y0 = np.concatenate((np.full(n, case["startTempC"]), np.full(n, x0)))
    near = diags([np.ones(n - 1), np.ones(n), np.ones(n - 1)], [-1, 0, 1])
    found = solve_ivp(rate, (0, case["atS"][-1]), y0, "Radau", t_eval=case["atS"], rtol=1e-6, atol=1e-7,
                      jac_sparsity=bmat([[near, near], [near, near]]))
    lost = (x0 - (found.y[n:, -1] * widths).sum() / depth) * (1 - case["waterFraction"])
    return {"coreC": [float(found.y[:n, i].max()) for i in range(len(case["atS"]))], "massLossFraction": float(lost)}


print(json.dumps([solve(case) for case in json.load(sys.stdin)]))
