-- Entries of fifty people who joined by code: each request is the next person's next line, with a key of its own. Where this run has
-- written on the line before, it says so, as a sheet does that shows it.
local function rows(name)
  local all = {}
  for row in io.lines(os.getenv("PEOPLE") .. "/" .. name .. ".tsv") do
    local cells = {}
    for cell in row:gmatch("[^\t]+") do cells[#cells + 1] = cell end
    all[#all + 1] = cells
  end
  return all
end
local people, lines = rows("people"), rows("lines")
local run, turn, wrong = os.time(), 0, 0
function request()
  turn = turn + 1
  local who = people[turn % #people + 1]
  local what = lines[math.floor(turn / #people) % #lines + 1]
  local before = turn - #people * #lines
  local saw = before > 1 and "wrk-" .. run .. "-" .. before or ""
  local body = "_csrf=" .. who[3] .. "&line=" .. what[1] .. "&text=" .. what[2] .. "&key=wrk-" .. run .. "-" .. turn .. "&saw=" .. saw
  return wrk.format("POST", "/sittings/" .. who[1] .. "/entries", { ["Cookie"] = who[2], ["X-Galdrin-Device"] = "wrk",
    ["Content-Type"] = "application/x-www-form-urlencoded" }, body)
end
function response(status, headers, body)
  if status ~= 200 or not body:find('"ok":true') then
    wrong = wrong + 1
    if wrong < 3 then io.stderr:write(status .. " " .. body .. "\n") end
  end
end
